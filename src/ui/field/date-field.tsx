'use client';

import { isMoment } from '@/core/quantity/say-time';

/** A day and an hour on this machine's clock; ms since 1970. */
export const DateField = ({
  label,
  value,
  onSay,
}: {
  readonly label: string;
  readonly value: number;
  readonly onSay: (at: number) => void;
}) => (
  <label className="label mb-0">
    {label}
    <input
      type="datetime-local"
      className="field text-ink"
      value={localText(value)}
      onChange={(e) => {
        const at = new Date(e.target.value).getTime();
        if (Number.isFinite(at)) onSay(at);
      }}
    />
  </label>
);

const localText = (at: number): string => {
  if (!isMoment(at)) return '';
  const d = new Date(at);
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}T${two(d.getHours())}:${two(d.getMinutes())}`;
};
