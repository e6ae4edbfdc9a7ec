import type { Metadata } from 'next';
import { GROUPING_NAMES, type Grouping, sayGroup } from '@/core/book/grouping';
import { sayLogRank } from '@/core/book/say-comebacks';
import { may } from '@/core/people/role';
import { sayDate } from '@/core/quantity/say-time';
import { tagOf } from '@/core/unit/unit-record';
import { type Lived, ownersOf } from '@/db/book/lives-by';
import { theDb } from '@/db/engine/connection';
import { staff } from '@/db/people/people';
import { sayNotDone } from '@/pool/pool';
import { BookHead } from '@/ui/book/book-head';
import { GroupTable } from '@/ui/book/group-table';
import { HoldsChart } from '@/ui/book/holds-chart';
import { WhichHolds } from '@/ui/book/which-holds';
import { Go } from '@/ui/shell/go';
import { FOLLOW_DAYS, holdsNow } from '../../../_server/holds-now';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'What holds' };

/** How many of a group were seen for so long stands beside its shares, days. */
const SEEN_DAYS = [90, 180, 365] as const;
/** Rows of a group, and units of a warning, that are named; how many there are is said. */
const NAMED = 100;
/** Curves that one chart can tell apart by their dashes. */
const CURVES = 6;

/** What holds and for how long, by any of what is known of a unit; never by who worked on it. */
export default async function HoldsPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly by?: string; readonly group?: string; readonly person?: string }>;
}) {
  const me = await personOrSignIn();
  const [{ by: asked, group, person: askedFor }, db] = await Promise.all([searchParams, theDb()]);
  const teaches = may(me.role, 'teach');
  const people = teaches ? await staff(db) : [];
  const person = people.find((p) => p.id === askedFor);
  const by: Grouping = GROUPING_NAMES.find((g) => g === asked) ?? 'way';
  const now = Date.now();
  const nameOf = (stored: string): string =>
    person === undefined ? sayGroup(by, stored) : stored === 'theirs' ? `closed up by ${person.name}` : 'all others';
  const { lived, inAll, lives, left, done } = await holdsNow(db, person === undefined ? by : { personId: person.id }, now);
  const told = done?.ok ? done.value : undefined;
  const high = told?.groups.filter((g) => g.says === 'high').map((g) => g.group) ?? [];
  const stillOut = lived.filter((l) => high.includes(l.group) && l.backAt === null);
  const owners =
    person === undefined && (by === 'lot' || by === 'way' || by === 'kit')
      ? await ownersOf(
          db,
          stillOut.slice(0, NAMED).map((l) => l.unitId),
        )
      : [];
  return (
    <div className="grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-4 px-4 py-4">
      <BookHead here="What holds" title="What holds, and for how long" />
      <p>
        <Go className="font-bold text-act underline" href="/book/limits">
          Limits tried against what came of them
        </Go>{' '}
        · without names, as{' '}
        <a className="font-bold text-act underline" href="/api/v1/book/export/statistics.csv">
          CSV
        </a>{' '}
        or{' '}
        <a className="font-bold text-act underline" href="/api/v1/book/export/statistics.xlsx">
          Excel
        </a>
      </p>
      <WhichHolds by={by} people={people.map(({ id, name }) => ({ id, name }))} person={person?.id ?? null} />
      {done !== undefined && !done.ok && <p role="alert">{sayNotDone(done.error)}</p>}
      {told === undefined ? (
        done === undefined && <p className="border border-line bg-sheet p-3">Nothing that tells has been released yet.</p>
      ) : (
        <>
          <p>
            {inAll} {inAll === 1 ? 'unit was' : 'units were'} released{inAll > 20_000 ? '; the last 20,000 are looked at' : ''}.{' '}
            {told.overallRate === null
              ? `None has been out for ${FOLLOW_DAYS} days yet: how many come back cannot be told.`
              : `Of those that were out for ${FOLLOW_DAYS} days or more, ${Math.round(1000 * told.overallRate) / 10} in 100 came back within them.`}
          </p>
          {owners.length > 0 && (
            <section aria-label="To be called" className="border-l-4 border-amber bg-sheet p-3">
              <h2 className="font-bold">
                {high.map((g) => nameOf(g)).join('; ')}: more come back than chance gives. Still out: {stillOut.length}
                {stillOut.length > owners.length && `, the last ${owners.length} are named`}.
              </h2>
              <ul>
                {owners.map((o) => (
                  <li key={o.tagNo}>
                    <Go className="font-bold text-act underline" href={`/units/${tagOf(o)}`}>
                      {tagOf(o)}
                    </Go>{' '}
                    {o.machine}, {o.customer} {o.phone}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <p>{sayLogRank(told.logRank)}</p>
          <HoldsChart
            groups={told.groups.slice(0, CURVES).map((g) => ({
              ...g,
              name: nameOf(g.group),
              seenDays: lives.reduce((most, l) => (l.group === g.group ? Math.max(most, l.days) : most), 0),
            }))}
            more={told.groups.length - CURVES}
          />
          <GroupTable
            groups={told.groups.map((g) => ({
              ...g,
              name: nameOf(g.group),
              href: `/book/holds?${new URLSearchParams({ ...(person === undefined ? { by } : { person: person.id }), group: g.group })}`,
              seen: SEEN_DAYS.map((d) => lives.filter((l) => l.group === g.group && l.days >= d).length),
            }))}
          />
          {left > 0 && <p className="text-ink2">{left} groups with the fewest units are not shown.</p>}
          {group !== undefined && <Rows of={lived.filter((l) => l.group === group)} name={nameOf(group)} />}
        </>
      )}
    </div>
  );
}

/** The units that a group’s figures are made of. */
function Rows({ of, name }: { readonly of: readonly Lived[]; readonly name: string }) {
  return (
    <section aria-label={`Units: ${name}`} className="border border-line bg-sheet p-3">
      <h2 className="mb-1 font-bold">
        {name}: {of.length} {of.length === 1 ? 'unit' : 'units'}
        {of.length > NAMED && `, the last ${NAMED} are named`}
      </h2>
      <ul className="columns-1 gap-6 sm:columns-2 lg:columns-3">
        {of.slice(0, NAMED).map((l) => (
          <li key={l.unitId}>
            <Go className="font-bold text-act underline" href={`/units/${tagOf(l)}`}>
              {tagOf(l)}
            </Go>{' '}
            released {sayDate(l.exitAt)}, {l.backAt === null ? 'still out' : <b>came back {sayDate(l.backAt)}</b>}
          </li>
        ))}
      </ul>
    </section>
  );
}
