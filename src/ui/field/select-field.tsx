'use client';

import { type Ref, useId } from 'react';

type Option<V> = V | { readonly value: V; readonly text: string };
type Says<V> =
  | { readonly none?: undefined; readonly onSay: (value: V) => void }
  /** What stands there while nothing is chosen; it can be chosen again. */
  | { readonly none: string; readonly onSay: (value: V | null) => void };

/** One of a list, told when it is chosen. */
export function SelectField<V extends string | number>({
  label,
  value,
  options = [],
  groups = [],
  say = String,
  none,
  onSay,
  className = '',
  hideLabel = false,
  inputRef,
  invalid = false,
  ...rest
}: {
  readonly label: string;
  readonly value: V | null | undefined;
  readonly options?: readonly Option<V>[];
  /** Options under a heading, after the others. */
  readonly groups?: readonly { readonly label: string; readonly options: readonly Option<V>[] }[];
  /** The word for each that has none of its own. */
  readonly say?: { readonly [value: string]: string } | ((value: V) => string);
  readonly className?: string;
  readonly hideLabel?: boolean;
  readonly disabled?: boolean;
  readonly autoFocus?: boolean;
  readonly name?: string;
  readonly invalid?: boolean;
  readonly inputRef?: Ref<HTMLSelectElement>;
} & Says<V>) {
  const id = useId();
  const heldBy = (o: Option<V>): V => (typeof o === 'object' ? o.value : o);
  const wordOf = (o: Option<V>): string => (typeof o === 'object' ? o.text : typeof say === 'function' ? say(o) : (say[o] ?? String(o)));
  const pick = (text: string): void => {
    const chosen = [...options, ...groups.flatMap((g) => g.options)].find((o) => String(heldBy(o)) === text);
    if (chosen !== undefined) onSay(heldBy(chosen));
    else if (none !== undefined) onSay(null);
  };
  const drawn = (all: readonly Option<V>[]) =>
    all.map((o) => (
      <option key={heldBy(o)} value={heldBy(o)}>
        {wordOf(o)}
      </option>
    ));
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <select
        id={id}
        ref={inputRef}
        aria-invalid={invalid}
        className="field"
        value={value ?? ''}
        onChange={(e) => pick(e.target.value)}
        {...rest}
      >
        {none !== undefined && <option value="">{none}</option>}
        {drawn(options)}
        {groups.map((g) => (
          <optgroup key={g.label} label={g.label}>
            {drawn(g.options)}
          </optgroup>
        ))}
      </select>
    </div>
  );
}
