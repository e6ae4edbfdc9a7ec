import type { Metadata } from 'next';
import { tallyComebacks } from '@/core/unit/lives';
import { tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { howManyLeft, leftSince } from '@/db/rack/rack';
import { type Comeback, comebacks } from '@/db/unit/lives';
import { UnitList } from '@/ui/rack/unit-list';
import { Go } from '@/ui/shell/go';

export const metadata: Metadata = { title: 'Book' };
const YEAR_MS = 365 * 24 * 3_600_000;

export default async function BookPage() {
  const db = await theDb();
  const now = Date.now();
  const [left, all] = [await leftSince(db, now - YEAR_MS), await howManyLeft(db)];
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Book</h1>
      <p className="mb-3 text-ink2">
        {all} {all === 1 ? 'unit has' : 'units have'} left the shop; those of the last year, the newest first.
      </p>
      <Comebacks all={await comebacks(db)} />
      <UnitList units={left} now={now} empty="Every unit that has left stands here with its whole history. None has yet." />
    </div>
  );
}

/** What came back, and what the first lives had in common. */
function Comebacks({ all }: { readonly all: readonly Comeback[] }) {
  if (all.length === 0) return null;
  return (
    <section className="mb-4 border border-line bg-sheet p-3">
      <h2 className="mb-2 font-bold">
        Came back: {all.length}{' '}
        {all.map(({ second }) => (
          <Go key={second.unit.id} className="ml-2 font-bold text-act underline" href={`/units/${tagOf(second.unit)}/lives`}>
            {tagOf(second.unit)}
          </Go>
        ))}
      </h2>
      <div className="grid gap-x-8 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
        {tallyComebacks(all).map((t) => (
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
