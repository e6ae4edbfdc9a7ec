'use client';

import { useState } from 'react';
import { holeAnswer, holeProblems, type PinnedHole } from '@/core/pedal-end/hole';
import type { Rules } from '@/core/rules/rule-set';
import { queryOf } from '@/core/schema/sheet';
import { HOLE_FIELDS } from '@/core/sums/pedal-sheets';
import { NumberField } from '../field/quantity-field';
import { HoleDrawing } from '../pedal-end/hole-drawing';
import { HoleFields, wholeHole } from '../pedal-end/hole-fields';
import { useUnits } from '../shell/units-context';
import { useAddress } from '../shell/use-address';
import { SumButtons } from './sum-buttons';

/** How worn a clevis hole and its pin are, and what that costs at the pedal. It stands in the address. */
export function Hole({
  start,
  rules,
}: {
  readonly start: Partial<PinnedHole> & { readonly ratio?: number };
  readonly rules: Pick<Rules, 'holeWearMm' | 'holeOvalMm'>;
}) {
  const units = useUnits();
  const [hole, setHole] = useState<Partial<PinnedHole>>(start);
  const [ratio, setRatio] = useState<number | null>(start.ratio ?? null);
  useAddress('/sums/hole', queryOf({ ...hole, ratio }, HOLE_FIELDS));
  const whole = wholeHole(hole);
  const problems = whole === undefined ? [] : holeProblems(whole);
  const answer = whole === undefined || problems.length > 0 ? undefined : holeAnswer(whole, ratio, rules, units);
  return (
    <div className="grid gap-4">
      <HoleDrawing hole={hole} />
      <div className="flex flex-wrap items-end gap-3">
        <HoleFields hole={hole} onSay={setHole} />
        <NumberField label="Pedal ratio" value={ratio} onSay={setRatio} />
      </div>
      <div aria-live="polite">
        {problems.map((p) => (
          <p key={p} className="border-l-4 border-red pl-3">
            {p}
          </p>
        ))}
        {answer === undefined && problems.length === 0 && (
          <p className="text-ink2">Measure the hole across its longest and its shortest, and the pin where it is thinnest.</p>
        )}
        {answer !== undefined && (
          <>
            <p className={`text-2xl font-bold ${answer.verdict === 'good' ? '' : 'text-red'}`}>
              {answer.verdict === 'good' ? 'Good' : 'Worn'}
            </p>
            {answer.reasons.map((r) => (
              <p key={r}>{r}</p>
            ))}
          </>
        )}
      </div>
      {answer !== undefined && <SumButtons text={[`Clevis hole and pin: ${answer.verdict}`, ...answer.reasons].join('\n')} />}
    </div>
  );
}
