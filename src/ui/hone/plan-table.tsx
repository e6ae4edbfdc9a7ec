import type { HonePlan } from '@/core/hone/hone-plan';
import { sayDia } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

/** The stages still to cut, coarse to fine. */
export function PlanTable({ plan, units }: { readonly plan: HonePlan; readonly units: Units }) {
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
              <td className="cell">{s.umPer100Turns.toFixed(1)}</td>
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
