import type { HonePlan } from '@/core/hone/hone-plan';
import { fixed } from '@/core/quantity/figure';
import { sayDia } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

/** The stages still to cut, coarse to fine. */
export function PlanTable({ plan }: { readonly plan: HonePlan }) {
  const units = useUnits();
  if (plan.stages.length === 0) return null;
  return (
    <Scroll label="Stages">
      <table className="w-full border-collapse bg-sheet">
        <TableHead names={['Grit', `Narrowest from, ${units.length}`, 'to', 'Cuts, µm per 100 turns', 'Gauge after', 'In all, about']} />
        <tbody>
          {plan.stages.map((s, i) => (
            <tr key={s.grit} className={i === 0 ? 'bg-tint2' : ''}>
              <th scope="row" className="cell font-bold">
                {s.grit}
              </th>
              <td className="cell">{sayDia(s.fromMm, units)}</td>
              <td className="cell font-bold">{sayDia(s.toMm, units)}</td>
              <td className="cell">{fixed(s.umPer100Turns, 1)}</td>
              <td className="cell font-bold">{s.gaugeAfterStrokes} strokes</td>
              <td className="cell text-ink2">
                {s.strokes} strokes, {saySeconds(s.seconds)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}

const saySeconds = (s: number): string => `${Math.floor(s / 60)}:${String(Math.round(s % 60)).padStart(2, '0')}`;
