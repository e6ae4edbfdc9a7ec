import type { BorePass } from '@/core/hone/bore-pass';
import { removedUm, turnsOf } from '@/core/hone/cutting-rate';
import { DRIVES, TOOLS } from '@/core/hone/drive';
import type { LearnedRate } from '@/core/hone/learned-rates';
import { fixed } from '@/core/quantity/figure';
import { sayDepth, sayDia, sayTemperature } from '@/core/quantity/say';
import { sayWhen } from '@/core/quantity/say-time';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';
import { useStation } from '../unit/station-context';
import { TableHead } from '../unit/table-head';

/** What was cut so far, pass by pass. */
export function PassTable({ passes }: { readonly passes: readonly BorePass[] }) {
  const units = useUnits();
  const { now } = useStation();
  if (passes.length === 0) return null;
  return (
    <section className="mt-4">
      <h3 className="head mb-1">PASSES</h3>
      <Scroll label="Passes">
        <table className="w-full border-collapse bg-sheet">
          <TableHead names={['With', 'Grit', 'Strokes', 'Turns', `Before, ${units.length}`, 'After', 'Took off', 'When']} />
          <tbody>
            {passes.map((p) => (
              <tr key={p.id}>
                <td className="cell">
                  {TOOLS[p.tool]}, {DRIVES[p.drive].label}
                </td>
                <td className="cell font-bold">{p.grit}</td>
                <td className="cell">{p.strokes}</td>
                <td className="cell">{fixed(turnsOf(p), 0)}</td>
                <td className="cell">{sayDia(p.beforeMm, units)}</td>
                <td className="cell font-bold">
                  {sayDia(p.afterMm, units)}
                  {p.bodyTempC !== null && (
                    <span className="block text-[12px] font-normal text-ink2">
                      at {sayTemperature(p.bodyTempC, units)}, brought to {sayTemperature(20, units)}
                    </span>
                  )}
                </td>
                <td className="cell">{sayDepth(removedUm(p), units)}</td>
                <td className="cell text-ink2">{sayWhen(p.at, now)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
    </section>
  );
}

/** What the shop's own passes say of each grit in this material. */
export function LearnedRates({ rates }: { readonly rates: readonly LearnedRate[] }) {
  if (rates.length === 0)
    return <p className="text-[13px] text-ink2">No passes of the shop in this material yet: the table’s rates count.</p>;
  return (
    <dl className="grid grid-cols-[auto_auto_1fr] gap-x-3 text-[13px]">
      {rates.map((r) => (
        <div key={r.grit} className="contents">
          <dt className="font-bold">{r.grit}</dt>
          <dd>
            {fixed(r.umPer100Turns, 1)}
            {r.spread === null ? '' : ` ± ${fixed(r.spread, 1)}`}
          </dd>
          <dd className="text-ink2">
            {r.passes} {r.passes === 1 ? 'pass' : 'passes'}, {fixed(r.turns, 0)} turns
          </dd>
        </div>
      ))}
    </dl>
  );
}
