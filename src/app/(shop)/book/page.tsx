import type { Metadata } from 'next';
import { Suspense } from 'react';
import { bookColumnsIn, columnsAddress } from '@/core/book/book-columns';
import { bookAddress, bookFilterIn, isFiltered } from '@/core/book/book-filter';
import { GROUPINGS, sayGroup } from '@/core/book/grouping';
import { capital } from '@/core/capital';
import { sayInAddress, sortIn } from '@/core/schema/sort';
import { theDb } from '@/db/engine/connection';
import { promisesKept } from '@/db/plan/promises-kept';
import { BOOK_COUNTED, BOOK_SORTS, type BookPlace, leftUnits } from '@/db/rack/rack';
import { type Comebacks, comebacks } from '@/db/unit/lives';
import { BookTable } from '@/ui/book/book-table';
import { FilterForm } from '@/ui/book/filter-form';
import { PickColumns } from '@/ui/book/pick-columns';
import { Go } from '@/ui/shell/go';
import { warnedNow } from '../../_server/holds-now';

export const metadata: Metadata = { title: 'Book' };

/** Units on one page of the book. */
const PAGE = 50;

export default async function BookPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ behind?: string; before?: string; sort?: string } & { readonly [name: string]: string | undefined }>;
}) {
  const db = await theDb();
  const given = await searchParams;
  const { behind, before: passed, sort: asked } = given;
  const filter = bookFilterIn(given);
  const some = isFiltered(filter);
  const columns = bookColumnsIn(given.columns);
  const picked: { readonly [name: string]: string } = given.columns === undefined ? {} : { columns: columnsAddress(columns) };
  const sort = sortIn(asked, BOOK_SORTS) ?? { by: 'when', way: 'down' as const };
  const sorted: { readonly [name: string]: string } = asked === undefined ? {} : { sort: sayInAddress(sort) };
  const place = placeIn(behind);
  const before = place === null ? 0 : Math.max(0, Number(passed) || 0);
  const [{ units, inAll }, back, promises] = await Promise.all([leftUnits(db, place, PAGE, sort, filter), comebacks(db), promisesKept(db)]);
  const last = units.at(-1);
  const shown = units.length === 0 ? '' : `; ${before + 1} to ${before + units.length}`;
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Book</h1>
      <p className="mb-3 text-ink2">
        {inAll > BOOK_COUNTED ? `More than ${BOOK_COUNTED}` : inAll} {inAll === 1 ? 'unit has' : 'units have'} left the shop
        {some && ' that are as asked below'}
        {shown}.
      </p>
      <p className="mb-3">
        <Go className="font-bold text-act underline" href="/book/holds">
          What holds, and for how long
        </Go>{' '}
        ·{' '}
        <Go className="font-bold text-act underline" href="/book/limits">
          Limits, had they been otherwise
        </Go>{' '}
        ·{' '}
        <Go className="font-bold text-act underline" href="/book/days">
          Where the days go
        </Go>{' '}
        ·{' '}
        <Go className="font-bold text-act underline" href="/book/learned">
          What the work taught
        </Go>{' '}
        ·{' '}
        <Go className="font-bold text-act underline" href="/book/foreign">
          Lives of other shops
        </Go>
      </p>
      {place === null && !some && (
        <Suspense>
          <Warnings />
        </Suspense>
      )}
      {place === null && !some && promises.asked > 0 && (
        <p className="mb-3">
          Of {promises.asked} that were promised by the plan, {promises.kept} were ready by the date that was to hold at 9 in 10:{' '}
          <b>{Math.round((100 * promises.kept) / promises.asked)} in 100</b>.
        </p>
      )}
      {place === null && !some && <CameBack all={back} />}
      <FilterForm key={bookAddress(filter)} filter={filter} more={{ ...picked, ...sorted }} />
      <PickColumns columns={columns} filter={filter} more={sorted} />
      {units.length === 0 ? (
        <p className="text-ink2">
          {some ? 'No unit that has left is as asked.' : 'Every unit that has left stands here with its whole history. None has yet.'}
        </p>
      ) : (
        <BookTable lines={units} columns={columns} now={Date.now()} sort={sort} filter={filter} more={picked} />
      )}
      <nav aria-label="Pages of the book" className="mt-3 flex gap-3">
        {place !== null && (
          <Go className="btn-quiet" href={`/book?${bookAddress(filter, { ...picked, sort: sayInAddress(sort) })}`}>
            First page
          </Go>
        )}
        {last !== undefined && last.exitAt !== null && before + units.length < inAll && (
          <Go
            className="btn-quiet"
            href={`/book?${bookAddress(filter, { ...picked, sort: sayInAddress(sort), behind: `${last.exitAt}.${last.tagNo}`, before: String(before + units.length) })}`}
          >
            Next page
          </Go>
        )}
        {(['csv', 'xlsx'] as const).map((kind) => (
          <a
            key={kind}
            className="btn-quiet"
            href={`/api/v1/book/export/book.${kind}?${bookAddress(filter, { columns: columnsAddress(columns) })}`}
          >
            These as {kind === 'csv' ? 'CSV' : 'Excel'}
          </a>
        ))}
      </nav>
    </div>
  );
}

/** Lots and ways of which more come back than chance gives. It comes when it is worked out; the page does not wait for it. */
async function Warnings() {
  const warned = await warnedNow(await theDb(), '');
  return warned.map((w) => (
    <p key={`${w.by} ${w.group}`} role="status" className="mb-2 border-l-4 border-red bg-sheet p-2 font-bold">
      {capital(GROUPINGS[w.by].label)}, {sayGroup(w.by, w.group)}: more come back than chance gives.{' '}
      <Go className="text-act underline" href={`/book/holds?${new URLSearchParams(w)}`}>
        Whom to call
      </Go>
    </p>
  ));
}

/** A place in the book as an address says it; null: the newest. */
const placeIn = (text: string | undefined): BookPlace | null => {
  const found = /^(\d{1,15})\.(\d{1,9})$/.exec(text ?? '');
  return found === null ? null : { exitAt: Number(found[1]), tagNo: Number(found[2]) };
};

/** What came back, and what the first lives had in common. */
function CameBack({ all }: { readonly all: Comebacks }) {
  if (all.inAll === 0) return null;
  return (
    <section className="mb-4 border border-line bg-sheet p-3">
      <h2 className="mb-2 font-bold">
        Came back: {all.inAll}{' '}
        {all.newest.map((tag) => (
          <Go key={tag} className="ml-2 font-bold text-act underline" href={`/units/${tag}/lives`}>
            {tag}
          </Go>
        ))}
        {all.inAll > all.newest.length && <span className="ml-2 font-normal text-ink2">the last {all.newest.length} are named</span>}
      </h2>
      <div className="grid gap-x-8 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
        {all.tallies.map((t) => (
          <table key={t.name} className="self-start text-[13px]">
            <caption className="head text-left">{t.name}</caption>
            <tbody>
              {t.counts.map(([what, n]) => (
                <tr key={what} className="border-b border-hair">
                  <th scope="row" className="py-0.5 pr-3 text-left font-normal">
                    {what}
                  </th>
                  <td className="w-8 text-right tabular-nums">{n}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ))}
      </div>
    </section>
  );
}
