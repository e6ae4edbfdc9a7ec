'use client';

import { Trash2 } from 'lucide-react';
import type { Circuit } from '@/core/set/circuits';
import type { SheetCylinder } from '@/core/sums/hydraulics-sheet';
import { Choices } from '../field/choices';
import { LengthField, NumberField } from '../field/quantity-field';
import { TextField } from '../field/text-field';
import { useUnits } from '../shell/units-context';

const CIRCUITS: readonly { readonly value: Circuit; readonly text: string }[] = [
  { value: 'rear', text: 'rear circuit' },
  { value: 'front', text: 'front circuit' },
];

/** The cylinders of a system, a line for each size; of a tandem, which circuit each hangs on. */
export function CylinderRows({
  cylinders,
  tandem,
  onSay,
}: {
  readonly cylinders: readonly SheetCylinder[];
  readonly tandem: boolean;
  readonly onSay: (cylinders: readonly SheetCylinder[]) => void;
}) {
  const units = useUnits();
  const change = (i: number, more: Partial<SheetCylinder>): void => onSay(cylinders.map((c, n) => (n === i ? { ...c, ...more } : c)));
  return (
    <fieldset className="grid min-w-0 gap-2">
      <legend className="label">Cylinders</legend>
      {cylinders.map((c, i) => (
        <div key={i} className="flex flex-wrap items-end gap-2">
          <TextField label="Which" className="w-32" value={c.id} maxLength={40} onSay={(text) => change(i, { id: text })} />
          <LengthField
            label={`Bore, ${units.length}`}
            className="w-28"
            fine
            say="typing"
            value={c.diaMm}
            onSay={(mm) => mm !== null && mm > 0 && change(i, { diaMm: mm })}
          />
          <NumberField
            label="How many"
            className="w-24"
            value={c.count}
            onSay={(n) => n !== null && Number.isInteger(n) && change(i, { count: n })}
          />
          <LengthField
            label={`Travel of each, ${units.length}`}
            className="w-32"
            fine
            say="typing"
            value={c.travelMm}
            onSay={(mm) => mm !== null && mm >= 0 && change(i, { travelMm: mm })}
          />
          {tandem && (
            <Choices label={`Circuit of ${c.id}`} value={c.circuit} options={CIRCUITS} onPick={(circuit) => change(i, { circuit })} />
          )}
          <button
            type="button"
            className="btn-quiet px-3"
            aria-label={`Take away ${c.id}`}
            onClick={() => onSay(cylinders.filter((_, n) => n !== i))}
          >
            <Trash2 size={16} aria-hidden />
          </button>
        </div>
      ))}
      {cylinders.length < 12 && (
        <button
          type="button"
          className="btn-quiet w-fit"
          onClick={() =>
            onSay([...cylinders, { id: `cylinder ${cylinders.length + 1}`, diaMm: 22.225, count: 2, travelMm: 1.2, circuit: 'rear' }])
          }
        >
          Another size
        </button>
      )}
    </fieldset>
  );
}
