'use client';

import { DRIVE_NAMES, DRIVES, type Drive } from '@/core/hone/drive';
import { Choices } from '../field/choices';
import { LengthField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';

/** How the stones are driven, and what is wished of them. */
export type HoneSetup = {
  readonly drive: Drive;
  readonly rpm: number;
  readonly strokesPerMin: number;
  readonly stoneLengthMm: number;
  readonly finish: 'cross-hatch' | 'fine';
};

export function Setup({ setup, onChange }: { readonly setup: HoneSetup; readonly onChange: (setup: HoneSetup) => void }) {
  const units = useUnits();
  const set = (news: Partial<HoneSetup>): void => onChange({ ...setup, ...news });
  return (
    <div className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
      <Choices
        label="Driven by"
        wrap
        options={DRIVE_NAMES.map((d) => ({ value: d, text: DRIVES[d].label }))}
        value={setup.drive}
        onPick={(drive) => set({ drive, rpm: DRIVES[drive].rpm, strokesPerMin: DRIVES[drive].strokesPerMin })}
      />
      <CountField label="Turns a minute" value={setup.rpm} onSay={(rpm) => set({ rpm })} />
      <CountField label="Strokes a minute" value={setup.strokesPerMin} onSay={(strokesPerMin) => set({ strokesPerMin })} />
      <LengthField
        label={`Stone, ${units.length}`}
        className="w-20"
        value={setup.stoneLengthMm}
        onSay={(mm) => mm !== null && mm > 0 && set({ stoneLengthMm: mm })}
      />
      <Choices
        label="Finish"
        wrap
        options={[
          { value: 'cross-hatch', text: 'cross-hatch' },
          { value: 'fine', text: 'fine' },
        ]}
        value={setup.finish}
        onPick={(finish) => set({ finish })}
      />
    </div>
  );
}

/** A count above zero; what is no count leaves it as it was. */
export const CountField = ({
  label,
  value,
  onSay,
}: {
  readonly label: string;
  readonly value: number;
  readonly onSay: (value: number) => void;
}) => (
  <label className="label mb-0">
    {label}
    <input
      key={value}
      className="field w-20"
      inputMode="numeric"
      defaultValue={value}
      onBlur={(e) => {
        const count = Number(e.target.value);
        if (count > 0) onSay(count);
        else e.target.value = String(value);
      }}
    />
  </label>
);
