'use client';

import type { BleedPlan } from '@/core/bleed/bleed-plan';
import { residualOf, sayPressures, sayResidual } from '@/core/bleed/residual';
import { oddAdvice, sayMixing, warningToDo } from '@/core/bleed/say-bleed';
import type { System } from '@/core/bleed/system';
import { rewritten } from '@/core/quantity/figure';
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
  const mixing = sayMixing(system, plan);
  return (
    <>
      {plan.warnings.map((w) => (
        <p key={`${w.code}-${w.endId}`} className={`border-l-4 pl-3 ${w.code === 'does-not-mix' ? 'border-red' : 'border-amber'}`}>
          {rewritten(w.text)} {warningToDo(w)}
        </p>
      ))}
      {mixing !== undefined && <p className="border-l-4 border-line pl-3">{mixing}</p>}
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
  const circuits = residualOf(system, densityKgM3);
  return (
    <section aria-label="Residual pressure">
      <h2 className="mb-1 font-bold">Residual pressure</h2>
      {circuits.map((a) => (
        <p key={a.circuit} className="mb-1">
          {circuits.length > 1 && <b>{a.circuit}: </b>}
          {sayResidual(a)} <span className="text-ink2">{sayPressures(a, units)}</span>
        </p>
      ))}
    </section>
  );
}
