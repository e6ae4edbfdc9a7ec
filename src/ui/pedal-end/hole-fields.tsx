'use client';

import type { PinnedHole } from '@/core/pedal-end/hole';
import { LengthField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';

const FIELDS: readonly (readonly [keyof PinnedHole, string])[] = [
  ['longMm', 'Hole, longest'],
  ['shortMm', 'Hole, shortest'],
  ['pinMm', 'Pin'],
];

/** A hole and its pin, as they are measured. */
export const HoleFields = ({
  hole,
  onSay,
}: {
  readonly hole: Partial<PinnedHole>;
  readonly onSay: (hole: Partial<PinnedHole>) => void;
}) => {
  const units = useUnits();
  return (
    <>
      {FIELDS.map(([f, label]) => (
        <LengthField
          key={f}
          label={`${label}, ${units.length}`}
          className="w-32"
          fine
          say="typing"
          value={hole[f] ?? null}
          onSay={(mm) => onSay({ ...hole, [f]: mm ?? undefined })}
        />
      ))}
    </>
  );
};

/** All three measured; undefined while one is missing. */
export const wholeHole = ({ longMm, shortMm, pinMm }: Partial<PinnedHole>): PinnedHole | undefined =>
  longMm === undefined || shortMm === undefined || pinMm === undefined ? undefined : { longMm, shortMm, pinMm };
