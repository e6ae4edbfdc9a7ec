'use client';

import { type Ref, useEffect, useId, useState } from 'react';
import { type QuantityError, sayQuantityError } from '@/core/quantity/parse';
import type { Result } from '@/core/result';
import { standsWrong } from '../save/wrong-fields';

/** How a kind of quantity is read and shown; its values are in the stored unit. */
export type Quantity = {
  readonly parse: (text: string) => Result<number, QuantityError>;
  readonly show: (value: number) => string;
  readonly unit: string;
};

export type FieldProps = {
  readonly label: string;
  readonly value: number | null;
  readonly onSay: (value: number | null) => void;
  readonly className?: string;
  readonly hideLabel?: boolean;
  readonly hint?: string;
  readonly disabled?: boolean;
  /** When the value is said: with every keystroke, or once the field is left or Enter is pressed. */
  readonly say?: 'typing' | 'done';
  readonly autoFocus?: boolean;
  /** What is usually entered here. */
  readonly suggested?: readonly string[];
  readonly inputRef?: Ref<HTMLInputElement>;
  /** What was sent of it was refused. */
  readonly invalid?: boolean;
};

/** A field that shows what it understood of what was typed. While that cannot be, the field says why, has no value, and nothing is saved on the page. */
export function QuantityField({
  label,
  value,
  quantity: { parse, show, unit },
  onSay,
  className = '',
  hideLabel = false,
  hint,
  disabled,
  say = 'done',
  autoFocus = false,
  suggested,
  inputRef,
  invalid = false,
}: FieldProps & { readonly quantity: Quantity }) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const text = typed ?? (value === null ? '' : show(value));
  const read = text.trim() === '' ? undefined : parse(text);
  const wrong = typed !== undefined && read !== undefined && !read.ok;
  useEffect(() => (wrong ? standsWrong(id, label) : undefined), [wrong, id, label]);
  const understood = typed !== undefined && read?.ok && /[^\d.,\s-]/.test(text) ? `${show(read.value)} ${unit}` : '';
  const done = (): void => {
    if (typed === undefined || wrong) return;
    if (say === 'done') onSay(read?.ok ? read.value : null);
    setTyped(undefined);
  };
  const type = (next: string): void => {
    setTyped(next);
    if (say === 'done') return;
    const now = next.trim() === '' ? undefined : parse(next);
    onSay(now?.ok ? now.value : null);
  };
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <input
        id={id}
        ref={inputRef}
        className="field tabular-nums"
        inputMode="decimal"
        placeholder={hint}
        value={text}
        disabled={disabled}
        // biome-ignore lint/a11y/noAutofocus: asked for where a reading is due and nothing else is to be done
        autoFocus={autoFocus}
        aria-invalid={wrong || invalid}
        aria-describedby={`${id}-note`}
        list={suggested && `${id}-list`}
        onChange={(e) => type(e.target.value)}
        onBlur={done}
        onKeyDown={(e) => e.key === 'Enter' && done()}
      />
      {suggested !== undefined && (
        <datalist id={`${id}-list`}>
          {suggested.map((s) => (
            <option key={s} value={s} />
          ))}
        </datalist>
      )}
      <p id={`${id}-note`} className={`text-[12px] empty:hidden ${wrong ? 'text-red' : 'text-ink2'}`}>
        {wrong && !read.ok ? sayQuantityError(read.error) : understood}
      </p>
    </div>
  );
}
