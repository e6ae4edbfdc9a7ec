'use client';

import { fillPressures } from '@/core/prove/by-hand';
import { figures } from '@/core/quantity/figure';
import { pressureIn } from '@/core/quantity/say';
import { NumberField, PressureField } from '../field/quantity-field';
import { useUnits } from '../shell/units-context';

/** The way up, typed: fluid pumped in so far, and the pressure it made. */
export type TypedFill = readonly { readonly ml: number | null; readonly bar: number | null }[];
export const emptyFill = (targetBar: number): TypedFill => fillPressures(targetBar).map(() => ({ ml: null, bar: null }));
/** Its whole rows; undefined while one is not. */
export const wholeFill = (fill: TypedFill): readonly { readonly ml: number; readonly bar: number }[] | undefined => {
  const whole = fill.flatMap((f) => (f.ml === null || f.bar === null ? [] : [{ ml: f.ml, bar: f.bar }]));
  return whole.length === fill.length ? whole : undefined;
};

/** Asks on the way up for fluid and pressure, about a quarter of the pressure at a time: what tells compliance and air. */
export function FillTable({
  targetBar,
  fill,
  onSay,
}: {
  readonly targetBar: number;
  readonly fill: TypedFill;
  readonly onSay: (fill: TypedFill) => void;
}) {
  const units = useUnits();
  return (
    <div className="flex flex-wrap gap-3">
      {fillPressures(targetBar).map((bar, i) => {
        const row = fill[i] ?? { ml: null, bar: null };
        const tell = (news: Partial<typeof row>): void => onSay(fill.with(i, { ...row, ...news }));
        return (
          <fieldset key={bar} className="border border-line bg-sheet px-2 pb-2">
            <legend className="px-1 text-[13px] text-ink2">
              pump to about {figures(pressureIn(bar, units), 3)} {units.pressure}
            </legend>
            <div className="flex gap-2">
              <NumberField label="ml so far" className="w-24" above={-1e-9} value={row.ml} onSay={(ml) => tell({ ml })} />
              <PressureField
                label={`Gauge, ${units.pressure}`}
                className="w-24"
                decimals={units.pressure === 'bar' ? 1 : 0}
                say="typing"
                value={row.bar}
                onSay={(read) => tell({ bar: read })}
              />
            </div>
          </fieldset>
        );
      })}
    </div>
  );
}
