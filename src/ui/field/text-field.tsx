'use client';

import { type Ref, useId } from 'react';

/** A line of text, or several, told with every keystroke. */
export function TextField({
  label,
  value,
  onSay,
  className = '',
  rows,
  hideLabel = false,
  inputRef,
  suggested,
  invalid = false,
  takesTag = false,
  ...rest
}: {
  readonly label: string;
  readonly value: string | null;
  readonly onSay: (text: string) => void;
  readonly className?: string;
  readonly rows?: number;
  /** The label is for those who do not see the form. */
  readonly hideLabel?: boolean;
  readonly placeholder?: string;
  readonly maxLength?: number;
  readonly inputMode?: 'numeric' | 'decimal' | 'tel';
  readonly type?: 'password';
  readonly disabled?: boolean;
  readonly autoFocus?: boolean;
  readonly name?: string;
  /** What was sent of it was refused. */
  readonly invalid?: boolean;
  /** A scanned tag is meant for this field. */
  readonly takesTag?: boolean;
  /** What is likely meant. */
  readonly suggested?: readonly string[];
  readonly inputRef?: Ref<HTMLInputElement & HTMLTextAreaElement>;
}) {
  const id = useId();
  const all = { id, ref: inputRef, value: value ?? '', 'aria-invalid': invalid, 'data-takes-tag': takesTag || undefined, ...rest };
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      {rows === undefined ? (
        <input
          className="field"
          {...all}
          list={suggested && `${id}-list`}
          autoComplete={suggested && 'off'}
          onChange={(e) => onSay(e.target.value)}
        />
      ) : (
        <textarea className="field h-auto py-2" rows={rows} {...all} onChange={(e) => onSay(e.target.value)} />
      )}
      {suggested !== undefined && (
        <datalist id={`${id}-list`}>
          {[...new Set(suggested)].map((s) => (
            <option key={s} value={s} />
          ))}
        </datalist>
      )}
    </div>
  );
}
