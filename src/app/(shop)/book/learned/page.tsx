import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { rateDrifts } from '@/core/book/learned';
import { CAUSES } from '@/core/book-in/cause';
import { COMPLAINTS } from '@/core/book-in/complaint';
import { MATERIAL_WORDS } from '@/core/family/material';
import { fixed, plain } from '@/core/quantity/figure';
import { sayDate } from '@/core/quantity/say-time';
import { METHODS, RESULT_WORDS, STUCK_WORDS } from '@/core/strip/treatment';
import { tagOf } from '@/core/unit/unit-record';
import { type BehindWhat, causesHeard, lotFaults, MOST_PASSES, rowsBehind, timedPasses, whatFreed } from '@/db/book/learned';
import { theDb } from '@/db/engine/connection';
import { BookHead } from '@/ui/book/book-head';
import { Go } from '@/ui/shell/go';
import { Scroll } from '@/ui/unit/scroll';
import { TableHead } from '@/ui/unit/table-head';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Learned' };

/** What the shop’s own work taught: stones, lots, causes, and what freed what. Never by who did it. */
export default async function LearnedPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly [name: string]: string | undefined }>;
}) {
  await personOrSignIn();
  const [db, asked] = await Promise.all([theDb(), searchParams]);
  const which = behindIn(asked);
  const [passes, lots, causes, freed, behind] = await Promise.all([
    timedPasses(db),
    lotFaults(db),
    causesHeard(db),
    whatFreed(db),
    which && rowsBehind(db, which),
  ]);
  const drifts = rateDrifts(passes);
  const word = (words: { readonly [name: string]: string | { readonly label: string } }, name: string): string => {
    const found = words[name];
    return found === undefined ? name : typeof found === 'string' ? found : found.label;
  };
  const perTurns = (rate: number | null): string => (rate === null ? 'too little cut' : fixed(rate, 1));
  return (
    <div className="grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-4 px-4 py-4">
      <BookHead here="Learned" title="What the shop’s own work taught" />
      <Table
        name={`Stones: µm in 100 turns${passes.length >= MOST_PASSES ? `, of the last ${MOST_PASSES} passes` : ''}`}
        heads={['Metal', 'Grit', 'Passes', 'By the table', 'Earlier half', 'Later half', 'Drift']}
        none="No pass with stones was logged yet."
        rows={drifts.map((d) => [
          <Rows key="rows" of={{ of: 'stones', material: d.material, grit: String(d.grit) }} text={MATERIAL_WORDS[d.material]} />,
          String(d.grit),
          String(d.passes),
          fixed(d.table, 1),
          perTurns(d.earlier),
          perTurns(d.later),
          d.earlier === null || d.later === null || d.earlier === 0 ? '–' : sayDrift(100 * (d.later / d.earlier - 1)),
        ])}
        inAll={drifts.length}
      />
      <Table
        name="Lots with faults in their bags"
        heads={['Lot', 'Bags opened', 'Something missing or wrong']}
        none="Every bag that was opened held what it should."
        rows={lots.rows.map((l) => [
          <Rows key="rows" of={{ of: 'lot', number: l.number, lot: l.lot }} text={`${l.number}, lot ${l.lot}`} />,
          String(l.opened),
          `${l.faulty} of ${l.opened}`,
        ])}
        inAll={lots.inAll}
      />
      <Table
        name="Confirmed causes against what was said"
        heads={['What the customer said', 'What it was', 'Units']}
        none="No cause was confirmed yet."
        rows={causes.rows.map((c) => [
          <Rows key="rows" of={{ of: 'cause', cause: c.cause, complaint: c.complaint }} text={word(COMPLAINTS, c.complaint)} />,
          word(CAUSES, c.cause),
          String(c.units),
        ])}
        inAll={causes.inAll}
      />
      <Table
        name="What freed what"
        heads={['What was stuck', 'What was tried', 'How often', 'Freed or moved it', 'At the most, bar']}
        none="Nothing that was stuck was noted yet."
        rows={freed.rows.map((f) => [
          <Rows key="rows" of={{ of: 'freed', state: f.state, method: f.method }} text={word(STUCK_WORDS, f.state)} />,
          word(METHODS, f.method),
          String(f.tried),
          `${f.freed} of ${f.tried}`,
          f.mostBar === null ? '–' : plain(f.mostBar),
        ])}
        inAll={freed.inAll}
      />
      {behind !== undefined && (
        <section aria-label="Units behind it" className="border border-line bg-sheet p-3">
          <h2 className="mb-1 font-bold">
            Behind it: {behind.inAll} {behind.inAll === 1 ? 'row' : 'rows'}
            {behind.inAll > behind.rows.length && `, the last ${behind.rows.length} are named`}
          </h2>
          <ul className="columns-1 gap-6 sm:columns-2">
            {behind.rows.map((r, i) => (
              <li key={i} className="break-inside-avoid">
                <Go className="font-bold text-act underline" href={`/units/${tagOf(r)}`}>
                  {tagOf(r)}
                </Go>{' '}
                {sayDate(r.at)}
                {r.what === '' ? '' : `, ${word(RESULT_WORDS, r.what)}`}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

const sayDrift = (percent: number): string =>
  Math.abs(percent) < 0.5 ? 'none' : `${percent > 0 ? '+' : '−'}${fixed(Math.abs(percent), 0)} %`;

/** A row's name, and the way to what stands behind it. */
const Rows = ({ of, text }: { readonly of: BehindWhat; readonly text: string }) => (
  <Go className="inline-flex min-h-9 items-center font-bold text-act underline" href={`/book/learned?${new URLSearchParams(of)}`}>
    {text}
  </Go>
);

/** Which figure an address asks the rows of. */
const behindIn = (asked: { readonly [name: string]: string | undefined }): BehindWhat | undefined => {
  const [of, number, lot, cause, complaint, state, method, material, grit] = NAMES.map((n) => String(asked[n] ?? ''));
  switch (of) {
    case 'lot':
      return { of, number: number ?? '', lot: lot ?? '' };
    case 'cause':
      return { of, cause: cause ?? '', complaint: complaint ?? '' };
    case 'freed':
      return { of, state: state ?? '', method: method ?? '' };
    case 'stones':
      return { of, material: material ?? '', grit: grit ?? '' };
    default:
      return undefined;
  }
};
const NAMES = ['of', 'number', 'lot', 'cause', 'complaint', 'state', 'method', 'material', 'grit'] as const;

/** A table with its name; what is not shown of it is said. */
function Table({
  name,
  heads,
  rows,
  inAll,
  none,
}: {
  readonly name: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly ReactNode[])[];
  readonly inAll: number;
  readonly none: string;
}) {
  return (
    <section aria-label={name}>
      <h2 className="mb-1 font-bold">
        {name}
        {inAll > rows.length && ` · ${rows.length} of ${inAll}`}
      </h2>
      {rows.length === 0 ? (
        <p className="border border-line bg-sheet p-3">{none}</p>
      ) : (
        <Scroll label={name}>
          <table className="w-full border-collapse bg-sheet">
            <TableHead names={heads} />
            <tbody>
              {rows.map((cells, i) => (
                <tr key={i}>
                  {cells.map((c, n) => (
                    <td key={n} className="cell">
                      {c}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Scroll>
      )}
    </section>
  );
}
