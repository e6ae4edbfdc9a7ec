import type { Units } from '@/core/quantity/units';
import type { GapSheet } from '@/core/set/gap-sheet';
import { GAP_WORDS, sayFine, sayTurns, sayVerdict } from '@/core/set/say-gap';
import type { Setup } from '@/core/set/setup';

/** The sums in full, the verdict, and what to do. */
export function GapAnswer({ answer, sheet, units }: { readonly answer: Setup; readonly sheet: GapSheet; readonly units: Units }) {
  const f = (mm: number): string => sayFine(mm, units);
  const bad = answer.verdict !== 'ok';
  const row = (label: string, value: string, strong = false) => (
    <tr key={label} className={strong ? 'border-t border-ink font-bold' : ''}>
      <th scope="row" className="py-0.5 pr-6 text-left font-normal">
        {label}
      </th>
      <td className="text-right tabular-nums">{value}</td>
    </tr>
  );
  const turns = sayTurns(answer, units);
  const more = [
    answer.lostPedalMm === null ? undefined : `The gap takes ${f(answer.lostPedalMm)} ${units.length} of the pedal.`,
    answer.freePlayMm === null ? undefined : `Free play at the pedal ${f(answer.freePlayMm)} ${units.length}.`,
    answer.seatShiftMm === null
      ? undefined
      : `This seat lies ${f(Math.abs(answer.seatShiftMm))} ${units.length} ${answer.seatShiftMm < 0 ? 'shallower' : 'deeper'} than the old unit’s.`,
    answer.spacerNeededMm === null ? undefined : `A spacer of ${f(answer.spacerNeededMm)} ${units.length} makes up for the other rod.`,
    answer.closesAtC === null ? undefined : `Warm, the gap closes at ${answer.closesAtC.toFixed(0)} °C.`,
    answer.lengthPerTurnMm === null ? undefined : `A turn of the turnbuckle is ${f(answer.lengthPerTurnMm)} ${units.length}.`,
  ];
  return (
    <div className="grid gap-x-8 gap-y-2 md:grid-cols-[20rem_minmax(0,1fr)]">
      <table className="w-full self-start border-collapse">
        <tbody>
          {row('socket', f(sheet.socket ?? 0))}
          {row('less the rim', `− ${f(sheet.standOff ?? 0)}`)}
          {(sheet.spacer ?? 0) > 0 && row('spacer', `+ ${f(sheet.spacer ?? 0)}`)}
          {row('reading', `+ ${f(sheet.reading ?? 0)}`)}
          {row('less the straight edge', `− ${f(sheet.edge ?? 0)}`)}
          {row(`gap, ${units.length}`, `${f(answer.gapMm)} ± ${f(answer.expandedUncertaintyMm)}`, true)}
        </tbody>
      </table>
      <div>
        <p
          className={`text-2xl font-bold ${bad ? (answer.verdict === 'measure-again' ? 'text-amber' : 'text-red') : ''}`}
          data-testid="gap"
        >
          {GAP_WORDS[answer.verdict]}
        </p>
        <p>{sayVerdict(answer, units)}</p>
        {turns !== undefined && bad && <p className="mt-1 font-bold">{turns}</p>}
        {more.map((t) => t !== undefined && <p key={t}>{t}</p>)}
      </div>
    </div>
  );
}
