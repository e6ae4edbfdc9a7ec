'use client';

/** The store's own query field. */
export const FindBox = ({
  label,
  hint,
  q,
  onType,
  state,
}: {
  readonly label: string;
  readonly hint: string;
  readonly q: string;
  readonly onType: (q: string) => void;
  readonly state: 'idle' | 'failed';
}) => (
  <div className="min-w-64 flex-1">
    <input
      type="search"
      className="field"
      aria-label={label}
      placeholder={hint}
      value={q}
      maxLength={200}
      onChange={(e) => onType(e.target.value)}
    />
    {state === 'failed' && <p className="text-amber">No answer came: what is shown is of the query before.</p>}
  </div>
);
