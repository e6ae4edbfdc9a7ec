import { WET, WET_NAMES, type Wet } from '@/core/prove/programme/seen';
import { SelectField } from '../field/select-field';

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
  <SelectField
    label={label}
    className="mb-2 w-72"
    value={value}
    options={WET_NAMES}
    say={(w) => WET[w]}
    none="not looked yet"
    onSay={onSay}
  />
);
