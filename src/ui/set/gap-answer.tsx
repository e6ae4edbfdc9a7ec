import type { ReactNode } from 'react';
import { fixed } from '@/core/quantity/figure';
import { type GapSheet, middleOf } from '@/core/set/gap-sheet';
import { GAP_WORDS, sayFine, saySecond, sayTurns, sayVerdict } from '@/core/set/say-gap';
import { checkedVerdict, type SecondReadings } from '@/core/set/second-readings';
import type { Setup } from '@/core/set/setup';
import { useUnits } from '../shell/units-context';
import { Word } from '../unit/word';

/** The sums in full, the verdict, and what to do. */
export function GapAnswer({
  answer,
  sheet,
  second,
}: {
  readonly answer: Setup;
  readonly sheet: GapSheet;
  readonly second: SecondReadings;
}) {
  const units = useUnits();
  const verdict = checkedVerdict(answer.verdict, second);
  const f = (mm: number): string => sayFine(mm, units);
  const bad = verdict !== 'ok';
  const row = (label: ReactNode, value: string, strong = false) => (
    <tr className={strong ? 'border-t border-ink font-bold' : ''}>
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
    answer.closesAtC === null ? undefined : `Warm, the gap closes at ${fixed(answer.closesAtC, 0)} °C.`,
    answer.lengthPerTurnMm === null ? undefined : `A turn of the turnbuckle is ${f(answer.lengthPerTurnMm)} ${units.length}.`,
  ];
  return (
    <div className="grid gap-x-8 gap-y-2 md:grid-cols-[20rem_minmax(0,1fr)]">
      <table className="w-full self-start border-collapse">
        <tbody>
          {row('socket', f(middleOf(sheet, 'socket', 'socket2') ?? 0))}
          {row('less the rim', `− ${f(middleOf(sheet, 'standOff', 'standOff2') ?? 0)}`)}
          {(sheet.spacer ?? 0) > 0 && row('spacer', `+ ${f(sheet.spacer ?? 0)}`)}
          {row('reading', `+ ${f(middleOf(sheet, 'reading', 'reading2') ?? 0)}`)}
          {row('less the straight edge', `− ${f(middleOf(sheet, 'edge', 'edge2') ?? 0)}`)}
          {row(<Word of="gap">{`gap, ${units.length}`}</Word>, `${f(answer.gapMm)} ± ${f(answer.expandedUncertaintyMm)}`, true)}
        </tbody>
      </table>
      <div>
        <p className={`text-2xl font-bold ${bad ? (verdict === 'measure-again' ? 'text-amber' : 'text-red') : ''}`} data-testid="gap">
          {GAP_WORDS[verdict]}
        </p>
        <p>{sayVerdict(answer, units)}</p>
        {(answer.verdict === 'ok' || second.apart.length > 0) && saySecond(second, units).map((t) => <p key={t}>{t}</p>)}
        {turns !== undefined && bad && answer.verdict !== 'ok' && <p className="mt-1 font-bold">{turns}</p>}
        {more.map((t) => t !== undefined && <p key={t}>{t}</p>)}
        <p className="text-[13px] text-ink2">
          ± holds how the depths were read, 95 times in 100; not a bent flange, nor one that is not drawn down.
        </p>
      </div>
    </div>
  );
}
