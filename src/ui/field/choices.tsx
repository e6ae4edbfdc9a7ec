'use client';

/** One of a few, as big buttons side by side; a radio group to the keyboard and to screen readers. */
export function Choices<T extends string>({
  label,
  options,
  value,
  onPick,
  disabled = false,
  wrap = false,
}: {
  readonly label: string;
  readonly options: readonly { readonly value: T; readonly text: string; readonly title?: string }[];
  readonly value: T | null;
  readonly onPick: (value: T) => void;
  readonly disabled?: boolean;
  /** Many of them: they may go over several rows. */
  readonly wrap?: boolean;
}) {
  return (
    <div role="radiogroup" aria-label={label} className={wrap ? 'flex flex-wrap gap-y-1' : 'inline-flex'}>
      {options.map((o, i) => (
        // biome-ignore lint/a11y/useSemanticElements: a toggle drawn as a button; arrow keys are not expected of two choices
        <button
          key={o.value}
          type="button"
          role="radio"
          aria-checked={value === o.value}
          title={o.title}
          disabled={disabled}
          onClick={() => onPick(o.value)}
          className={`min-h-[44px] border px-2.5 ${i > 0 ? '-ml-px' : ''} ${value === o.value ? 'relative border-act bg-tint2 font-bold text-act' : 'border-line bg-sheet text-ink disabled:text-ink2'}`}
        >
          {o.text}
        </button>
      ))}
    </div>
  );
}
