import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { rateDrifts } from '@/core/book/learned';
import { CAUSES } from '@/core/book-in/cause';
import { COMPLAINTS } from '@/core/book-in/complaint';
import { MATERIAL_WORDS } from '@/core/family/material';
import { fixed, plain } from '@/core/quantity/figure';
import { METHODS, STUCK_WORDS } from '@/core/strip/treatment';
import { causesHeard, lotFaults, MOST_PASSES, timedPasses, whatFreed } from '@/db/book/learned';
import { theDb } from '@/db/engine/connection';
import { BookHead } from '@/ui/book/book-head';
import { Scroll } from '@/ui/unit/scroll';
import { TableHead } from '@/ui/unit/table-head';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Learned' };

/** What the shop’s own work taught: stones, lots, causes, and what freed what. Never by who did it. */
export default async function LearnedPage() {
  await personOrSignIn();
  const db = await theDb();
  const [passes, lots, causes, freed] = await Promise.all([timedPasses(db), lotFaults(db), causesHeard(db), whatFreed(db)]);
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
          MATERIAL_WORDS[d.material],
          String(d.grit),
          String(d.passes),
          fixed(d.table, 1),
          perTurns(d.earlier),
          perTurns(d.later),
          d.earlier === null || d.later === null || d.earlier === 0
            ? '–'
            : `${d.later >= d.earlier ? '+' : '−'}${fixed(Math.abs(100 * (d.later / d.earlier - 1)), 0)} %`,
        ])}
        inAll={drifts.length}
      />
      <Table
        name="Lots with faults in their bags"
        heads={['Lot', 'Bags opened', 'Something missing or wrong']}
        none="Every bag that was opened held what it should."
        rows={lots.rows.map((l) => [l.lot, String(l.opened), `${l.faulty} of ${l.opened}`])}
        inAll={lots.inAll}
      />
      <Table
        name="Confirmed causes against what was said"
        heads={['What the customer said', 'What it was', 'Units']}
        none="No cause was confirmed yet."
        rows={causes.rows.map((c) => [word(COMPLAINTS, c.complaint), word(CAUSES, c.cause), String(c.units)])}
        inAll={causes.inAll}
      />
      <Table
        name="What freed what"
        heads={['What was stuck', 'What was tried', 'How often', 'Freed or moved it', 'At the most, bar']}
        none="Nothing that was stuck was noted yet."
        rows={freed.rows.map((f) => [
          word(STUCK_WORDS, f.state),
          word(METHODS, f.method),
          String(f.tried),
          `${f.freed} of ${f.tried}`,
          f.mostBar === null ? '–' : plain(f.mostBar),
        ])}
        inAll={freed.inAll}
      />
    </div>
  );
}

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
