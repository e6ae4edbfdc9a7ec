'use client';

import { BLEED_METHODS } from '@/core/bleed/bleed-method';
import type { BleedPlan } from '@/core/bleed/bleed-plan';
import { sayMinutes, sayResidue } from '@/core/bleed/say-bleed';
import { fixed } from '@/core/quantity/figure';
import { sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';

/** The plan: when to top up, large; what to have; each end in its turn; the methods side by side. A row pressed fills the drawing up to it. */
export function BleedAnswer({
  plan,
  filled,
  onFilled,
}: {
  readonly plan: BleedPlan;
  readonly filled: number;
  readonly onFilled: (n: number) => void;
}) {
  const units = useUnits();
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
        <p>
          <span className="label">Top up every</span>
          <b className="text-3xl tabular-nums" data-testid="top-up">
            {plan.topUpEvery === null ? 'stroke, all the while' : `${plan.topUpEvery} strokes`}
          </b>
        </p>
        <p>
          <span className="label">Fluid to have</span>
          <b className="text-2xl tabular-nums">
            {fixed(plan.freshMl, 0)} ml, {plan.bottles} {plan.bottles === 1 ? 'bottle' : 'bottles'}
          </b>
        </p>
      </div>
      <p className="text-[13px] text-ink2">
        {fixed(plan.mlPerStroke, 1)} ml a stroke. About {sayResidue(plan)} of the old fluid stays, if each line is stirred as it is flushed:
        more runs through, less stays.
      </p>
      <Scroll label="Each end in its turn">
        <table className="w-full border-collapse bg-sheet" data-testid="ends">
          <thead>
            <tr>
              {['', 'End', 'Path', 'Through it', 'Strokes', 'Top-ups', 'Gravity', 'Vacuum'].map((h) => (
                <th key={h} scope="col" className="th">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {plan.order.map((s, i) => (
              <tr key={s.endId} className={i < filled ? 'bg-tint2' : ''}>
                <td className="cell">
                  <button
                    type="button"
                    className="min-h-[44px] min-w-[44px] border border-act font-bold text-act"
                    aria-pressed={i < filled}
                    aria-label={`${i + 1}: new fluid up to ${s.endId}`}
                    onClick={() => onFilled(filled === i + 1 ? i : i + 1)}
                  >
                    {i + 1}
                  </button>
                </td>
                <th scope="row" className="cell">
                  {s.endId}
                </th>
                <td className="cell">
                  {sayLength(s.pathMm, units)} {units.length}
                </td>
                <td className="cell">{fixed(s.flushMl, 0)} ml</td>
                <td className="cell text-lg font-bold">{s.strokes}</td>
                <td className="cell">{s.topUps ?? 'always'}</td>
                <td className="cell">{s.gravityMlPerMin === 0 ? 'does not run' : sayMinutes(s.gravityMinutes)}</td>
                <td className="cell">{sayMinutes(s.vacuumMinutes)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      <Scroll label="The methods side by side">
        <table className="w-full border-collapse bg-sheet" data-testid="methods">
          <thead>
            <tr>
              {['By', 'People', 'In all', 'What it risks'].map((h) => (
                <th key={h} scope="col" className="th">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {plan.methods.map((m) => (
              <tr key={m.method}>
                <th scope="row" className="cell whitespace-nowrap">
                  {BLEED_METHODS[m.method].label}
                </th>
                <td className="cell">{m.people}</td>
                <td className="cell whitespace-nowrap">{sayMinutes(m.minutes)}</td>
                <td className="cell text-[13px] text-ink2">{BLEED_METHODS[m.method].risks}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
    </>
  );
}
