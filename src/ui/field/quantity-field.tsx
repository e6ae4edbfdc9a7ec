'use client';

import { useId, useState } from 'react';
import { parseLength, sayQuantityError } from '@/core/quantity/parse';
import { sayDia, sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';

/** A length that takes mm, inches or fractions, and shows what it understood. Says the value in mm when the field is left or Enter is pressed. */
export function LengthField({
  label,
  mm,
  units,
  onSay,
  fine = false,
  className = '',
  hideLabel = false,
  hint,
}: {
  readonly label: string;
  readonly mm: number | null;
  readonly units: Units;
  readonly onSay: (mm: number | null) => void;
  /** To 0.001 mm, for diameters. */
  readonly fine?: boolean;
  readonly className?: string;
  readonly hideLabel?: boolean;
  readonly hint?: string;
}) {
  const id = useId();
  const shown = mm === null ? '' : fine ? sayDia(mm, units) : sayLength(mm, units);
  const [typed, setTyped] = useState<string>();
  const text = typed ?? shown;
  const read = text.trim() === '' ? undefined : parseLength(text, units.length);
  const wrong = typed !== undefined && read !== undefined && !read.ok;
  const understood =
    typed !== undefined && read?.ok && /[^\d.\s-]/.test(text)
      ? `${fine ? sayDia(read.value, units) : sayLength(read.value, units)} ${units.length}`
      : '';
  const say = (): void => {
    if (typed === undefined || wrong) return;
    onSay(read?.ok ? read.value : null);
    setTyped(undefined);
  };
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <input
        id={id}
        className="field tabular-nums"
        inputMode="decimal"
        placeholder={hint}
        value={text}
        aria-invalid={wrong}
        aria-describedby={`${id}-note`}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={say}
        onKeyDown={(e) => e.key === 'Enter' && say()}
      />
      <p id={`${id}-note`} className={`text-[12px] empty:hidden ${wrong ? 'text-red' : 'text-ink2'}`}>
        {wrong && !read.ok ? sayQuantityError(read.error) : understood}
      </p>
    </div>
  );
}
