'use client';

import { type ReactNode, useState } from 'react';
import { AngleField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';

/** One figure of the bore so far. */
export const Figure = ({ name, value, unit }: { readonly name: ReactNode; readonly value: string; readonly unit: string }) => (
  <>
    <dt>{name}</dt>
    <dd className="text-right font-bold">
      {value} <span className="text-[12px] font-normal text-ink2">{unit}</span>
    </dd>
  </>
);

/** Another clock position to gauge at. */
export function ClockField({ taken, onAdd }: { readonly taken: readonly number[]; readonly onAdd: (deg: number) => void }) {
  const [deg, setDeg] = useState<number | null>(null);
  const add = deg === null || taken.includes(deg) ? null : deg;
  return (
    <div className="flex items-end gap-1">
      <AngleField label="Clock, °" className="w-16" say="typing" value={deg} onSay={setDeg} />
      <button type="button" className="btn-quiet" disabled={add === null} onClick={() => add !== null && onAdd(add)}>
        Add a clock
      </button>
    </div>
  );
}

export const TempField = ({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
}) => {
  const units = useUnits();
  return (
    <label className="block text-[13px] text-ink2">
      {label}, °{units.temperature}
      <input className="field block w-20 text-ink" inputMode="decimal" value={value} onChange={(e) => onChange(e.target.value)} />
    </label>
  );
};
