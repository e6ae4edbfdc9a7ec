'use client';

import type { Faces } from '@/core/family/facing';
import { LIP_WORDS, Lip } from '../drawing/lip';

/** Two drawn lips to choose from, open end of the unit to the left. */
export function LipPick({
  label,
  value,
  disabled,
  onPick,
}: {
  readonly label: string;
  readonly value: Faces | null;
  readonly disabled: boolean;
  readonly onPick: (faces: Faces) => void;
}) {
  return (
    <span className="inline-flex" role="radiogroup" aria-label={label}>
      {(['blind', 'open'] as const).map((faces) => (
        // biome-ignore lint/a11y/useSemanticElements: a drawn toggle
        <button
          key={faces}
          type="button"
          role="radio"
          aria-checked={value === faces}
          aria-label={LIP_WORDS[faces]}
          title={LIP_WORDS[faces]}
          disabled={disabled}
          onClick={() => onPick(faces)}
          className={`-ml-px flex min-h-[44px] w-[44px] items-center justify-center border first:ml-0 ${value === faces ? 'relative border-act bg-tint2' : 'border-line bg-sheet'}`}
        >
          <Lip faces={faces} size={20} />
        </button>
      ))}
    </span>
  );
}
