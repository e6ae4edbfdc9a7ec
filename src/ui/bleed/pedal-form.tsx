'use client';

import { useState } from 'react';
import { type AirLeft, airLeft } from '@/core/bleed/air-left';
import type { System, SystemPedal } from '@/core/bleed/system';
import { fixed } from '@/core/quantity/figure';
import { sayLength } from '@/core/quantity/say';
import { FIRST_CYLINDERS } from '@/core/sums/hydraulics-sheet';
import { ForceField, LengthField, NumberField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';
import { CylinderRows } from '../sums/cylinder-rows';

/** What the pedal is pressed with where the system does not say: to be put right on the machine. */
const FIRST_PEDAL: SystemPedal = {
  forceN: 250,
  ratio: 5,
  boost: 1,
  freePlayMm: 5,
  hoseMlPerMPa: 0.1,
  cylinders: FIRST_CYLINDERS.map(({ circuit: _, ...c }) => c),
};

/** How far the pedal goes, beside what it should by chapter 8, and so the air that is left. */
export function PedalForm({
  system,
  onFirm,
  onSpongy,
}: {
  readonly system: System;
  readonly onFirm: (travelMm: number) => void;
  readonly onSpongy: () => void;
}) {
  const units = useUnits();
  const [pedal, setPedal] = useState(system.pedal ?? FIRST_PEDAL);
  const [travelMm, setTravel] = useState<number | null>(null);
  const say = (more: Partial<SystemPedal>): void => setPedal((p) => ({ ...p, ...more }));
  const left = travelMm === null ? undefined : airLeft(system, pedal, travelMm);
  const expected = airLeft(system, pedal, pedal.freePlayMm).expectedMm;
  const mm = (x: number): string => `${sayLength(x, units)} ${units.length}`;
  return (
    <section aria-label="The pedal" className="grid gap-3">
      <div className="flex flex-wrap items-end gap-3">
        <LengthField
          label={`Travel at the pedal, ${units.length}`}
          className="w-44"
          say="typing"
          autoFocus
          value={travelMm}
          onSay={setTravel}
        />
        <p className="pb-2.5">
          Worked out without air: <b>{mm(expected)}</b>, its free play in it.
        </p>
      </div>
      {left !== undefined && (
        <p
          aria-live="polite"
          className={`border-l-4 pl-3 ${left.says === 'none-seen' ? 'border-line' : 'border-amber'}`}
          data-testid="air-left"
        >
          {sayAir(left)}
        </p>
      )}
      <div className="grid gap-2 sm:grid-cols-2">
        <button
          type="button"
          className="btn min-h-16 text-lg"
          disabled={travelMm === null || travelMm <= 0}
          onClick={() => onFirm(travelMm as number)}
        >
          Firm: note it
        </button>
        <button type="button" className="btn-quiet min-h-16 text-lg" onClick={onSpongy}>
          Still spongy
        </button>
      </div>
      <details>
        <summary className="min-h-[44px] cursor-pointer font-bold text-act">What it is worked out from</summary>
        <div className="grid gap-3">
          <div className="flex flex-wrap items-end gap-3">
            <ForceField
              label={`Pressed with, ${units.force}`}
              className="w-40"
              say="typing"
              value={pedal.forceN}
              onSay={(n) => n !== null && n > 0 && say({ forceN: n })}
            />
            <NumberField label="Pedal ratio" value={pedal.ratio} onSay={(n) => n !== null && say({ ratio: n })} />
            <NumberField label="Boost, times" value={pedal.boost} onSay={(n) => n !== null && say({ boost: n })} />
            <LengthField
              label={`Free play at the pedal, ${units.length}`}
              className="w-44"
              say="typing"
              value={pedal.freePlayMm}
              onSay={(n) => n !== null && n >= 0 && say({ freePlayMm: n })}
            />
            <NumberField
              label="Hoses give, ml/MPa"
              above={-1e-9}
              value={pedal.hoseMlPerMPa}
              onSay={(n) => n !== null && say({ hoseMlPerMPa: Math.max(0, n) })}
            />
          </div>
          <CylinderRows
            cylinders={pedal.cylinders.map((c) => ({ ...c, circuit: 'rear' as const }))}
            tandem={false}
            onSay={(all) => say({ cylinders: all.map(({ circuit: _, ...c }) => c) })}
          />
        </div>
      </details>
    </section>
  );
}

/** What a pedal’s travel says of the air, with its doubt. */
const sayAir = (left: AirLeft): string => {
  const interval = `${fixed(left.airMl, 1)} ml of air, ${fixed(left.lowMl, 1)} to ${fixed(left.highMl, 1)} as travel and cylinders are known`;
  switch (left.says) {
    case 'air':
      return `There is air in it: ${interval}. Bleed again, or look for where it comes from.`;
    case 'none-seen':
      return `No air is seen in it: ${interval}.`;
    case 'undecided':
      return `It cannot be told from the travel: ${interval}. What the foot feels goes before it; measure travel and cylinders better, or pump twice and see whether it comes up.`;
  }
};
