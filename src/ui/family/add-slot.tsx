'use client';

import { useState } from 'react';
import type { Chamber } from '@/core/family/facing';
import { PART_KINDS, type PartKind } from '@/core/family/part-kind';
import type { Variant } from '@/core/family/variant-schema';
import { SelectField } from '../field/select-field';
import { Between, KINDS_BY_LABEL } from './slot-row';

/** A part that the base family does not have. It starts in the middle of the bore; its place is set in its line. */
export function AddSlot({
  variant,
  chambers,
  onAdd,
}: {
  readonly variant: Variant;
  readonly chambers: readonly Chamber[];
  readonly onAdd: (variant: Variant) => void;
}) {
  const [kind, setKind] = useState<PartKind>('cup');
  const [between, setBetween] = useState<[string, string]>();
  const add = (): void => {
    const { slots, drawing } = variant;
    const taken = new Set(slots.flatMap((s) => [s.id, s.name]));
    const number = [1, 2, 3, 4, 5, 6, 7, 8, 9].find((n) => !taken.has(`${kind}-${n}`)) ?? 10;
    const id = `${kind}-${number}`;
    const label = PART_KINDS[kind].label;
    const middle = Math.round(drawing.lengthMm / 2);
    const slot = {
      id,
      name: taken.has(label) ? `${label} ${number}` : label,
      kind,
      qty: 1,
      optional: false,
      ...(between === undefined ? {} : { between }),
    };
    onAdd({
      ...variant,
      slots: [...slots, slot],
      drawing: {
        ...drawing,
        spans: { ...drawing.spans, [id]: { x0Mm: middle, x1Mm: middle + 4 } },
        seals:
          between === undefined
            ? drawing.seals
            : [...drawing.seals, { id, role: 'pressure', restXMm: middle + 2, contactMm: 2.5, travelMm: 0 }],
      },
    });
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <SelectField
        label="Another part"
        className="w-44"
        value={kind}
        options={KINDS_BY_LABEL}
        say={(k) => PART_KINDS[k].label}
        onSay={setKind}
      />
      <Between slot={{ name: 'new part', between }} chambers={chambers} onPick={setBetween} />
      <button type="button" className="btn-quiet" onClick={add}>
        Add it
      </button>
    </div>
  );
}
