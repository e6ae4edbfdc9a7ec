import { WET, WET_NAMES, type Wet } from '@/core/prove/programme/seen';

/** Where it is wet; nothing while nobody has looked. */
export const WetPick = ({
  label,
  value,
  onSay,
}: {
  readonly label: string;
  readonly value: Wet | null;
  readonly onSay: (wet: Wet | null) => void;
}) => (
  <label className="label mb-2 block w-72">
    {label}
    <select className="field text-ink" value={value ?? ''} onChange={(e) => onSay(WET_NAMES.find((w) => w === e.target.value) ?? null)}>
      <option value="">not looked yet</option>
      {WET_NAMES.map((w) => (
        <option key={w} value={w}>
          {WET[w]}
        </option>
      ))}
    </select>
  </label>
);
