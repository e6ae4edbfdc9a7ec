'use client';

import { useState } from 'react';

/** A plain number without a unit to convert, told with every keystroke; a comma is a point. Nothing, or what is no number above `above`, is null. */
export function NumberField({
  label,
  value,
  above = 0,
  className = 'w-40',
  hint,
  onSay,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly above?: number;
  readonly className?: string;
  readonly hint?: string;
  readonly onSay: (value: number | null) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const text = typed ?? (value === null ? '' : String(value));
  const read = (t: string): number => Number(t.trim().replace(',', '.'));
  const wrong = text.trim() !== '' && !(read(text) > above);
  return (
    <label className={`label mb-0 ${className}`}>
      {label}
      <input
        className="field text-ink tabular-nums"
        inputMode="decimal"
        placeholder={hint}
        value={text}
        aria-invalid={wrong}
        onChange={(e) => {
          setTyped(e.target.value);
          const next = read(e.target.value);
          onSay(e.target.value.trim() !== '' && next > above ? next : null);
        }}
        onBlur={() => !wrong && setTyped(undefined)}
      />
    </label>
  );
}
