'use client';

import type { BleedPlan } from '@/core/bleed/bleed-plan';
import { residualOf, sayResidual } from '@/core/bleed/residual';
import { oddAdvice, warningToDo } from '@/core/bleed/say-bleed';
import type { System } from '@/core/bleed/system';
import { fixed, rewritten } from '@/core/quantity/figure';
import { pressureIn } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';

/** What is to be minded at single ends, the fluid, and whether a circuit asks for a residual valve: said, never decided. */
export function EndNotes({
  system,
  plan,
  densityKgM3,
}: {
  readonly system: System;
  readonly plan: BleedPlan;
  readonly densityKgM3: number;
}) {
  const odd = oddAdvice(system.ends);
  return (
    <>
      {plan.warnings.map((w) => (
        <p key={`${w.code}-${w.endId}`} className={`border-l-4 pl-3 ${w.code === 'does-not-mix' ? 'border-red' : 'border-amber'}`}>
          {rewritten(w.text)} {warningToDo(w)}
        </p>
      ))}
      {odd.map((a) => (
        <p key={a.says} className="border-l-4 border-amber pl-3">
          {a.says} {a.toDo}
        </p>
      ))}
      <ResidualNotes system={system} densityKgM3={densityKgM3} />
    </>
  );
}

/** Residual pressure of each circuit, with what stands over a cup’s lip at rest. */
export function ResidualNotes({ system, densityKgM3 }: { readonly system: System; readonly densityKgM3: number }) {
  const units = useUnits();
  const bar = (x: number): string => `${fixed(pressureIn(x, units), units.pressure === 'bar' ? 2 : 1)} ${units.pressure}`;
  const circuits = residualOf(system, densityKgM3);
  return (
    <section aria-label="Residual pressure">
      <h2 className="mb-1 font-bold">Residual pressure</h2>
      {circuits.map((a) => (
        <p key={a.circuit} className="mb-1">
          {circuits.length > 1 && <b>{a.circuit}: </b>}
          {sayResidual(a)}
          {a.holdsBar !== null && ` A valve for drums holds ${bar(a.holdsBar[0])} to ${bar(a.holdsBar[1])}.`}{' '}
          <span className="text-ink2">
            {a.lipBar === null
              ? 'At rest over its lips: not known, for no height is given.'
              : `At rest the fluid’s height alone puts ${bar(a.lipBar)} over its lowest lip${a.lipBar < 0 ? ', inward: air can be drawn past it' : ''}.`}
          </span>
        </p>
      ))}
    </section>
  );
}
