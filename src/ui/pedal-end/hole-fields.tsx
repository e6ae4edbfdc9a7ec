'use client';

import type { PinnedHole } from '@/core/pedal-end/hole';
import type { Units } from '@/core/quantity/units';
import { LengthField } from '../field/quantity-field';

const FIELDS: readonly (readonly [keyof PinnedHole, string])[] = [
  ['longMm', 'Hole, longest'],
  ['shortMm', 'Hole, shortest'],
  ['pinMm', 'Pin'],
];

/** A hole and its pin, as they are measured. */
export const HoleFields = ({
  hole,
  units,
  onSay,
}: {
  readonly hole: Partial<PinnedHole>;
  readonly units: Units;
  readonly onSay: (hole: Partial<PinnedHole>) => void;
}) => (
  <>
    {FIELDS.map(([f, label]) => (
      <LengthField
        key={f}
        label={`${label}, ${units.length}`}
        className="w-32"
        fine
        say="typing"
        value={hole[f] ?? null}
        units={units}
        onSay={(mm) => onSay({ ...hole, [f]: mm ?? undefined })}
      />
    ))}
  </>
);

/** All three measured; undefined while one is missing. */
export const wholeHole = ({ longMm, shortMm, pinMm }: Partial<PinnedHole>): PinnedHole | undefined =>
  longMm === undefined || shortMm === undefined || pinMm === undefined ? undefined : { longMm, shortMm, pinMm };
