'use client';

import { FLARE_NAMES, FLARES } from '@/core/line/flare';
import type { LineRules } from '@/core/line/line';
import { type LineSheet, type SheetBend, type SheetCoil, type SheetEnd, withLeg, withoutLeg } from '@/core/line/line-sheet';
import { sayLength } from '@/core/quantity/say';
import { SEAT_NAMES, SEATS, THREADS } from '@/core/quantity/thread';
import { AngleField, LengthField, NumberField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { ThreadHelp } from '../identify/thread-help';
import { useUnits } from '../shell/units-context';

type Props = { readonly sheet: LineSheet; readonly rules: LineRules; readonly onSay: (sheet: LineSheet) => void };

const TURNS = [
  { value: 'left', text: 'left' },
  { value: 'right', text: 'right' },
] as const;
const changed = <T,>(all: readonly T[], i: number, more: Partial<T>): readonly T[] => all.map((x, n) => (n === i ? { ...x, ...more } : x));

/** Tube, legs and the bends between them, coils, and both ends. */
export function LineFields({ sheet, rules, onSay }: Props) {
  const units = useUnits();
  const bend = (i: number, more: Partial<SheetBend>): void => onSay({ ...sheet, bends: changed(sheet.bends, i, more) });
  const coil = (i: number, more: Partial<SheetCoil>): void => onSay({ ...sheet, coils: changed(sheet.coils, i, more) });
  const end = (i: 0 | 1, more: Partial<SheetEnd>): void => {
    const [start, last] = sheet.ends;
    onSay({ ...sheet, ends: i === 0 ? [{ ...start, ...more }, last] : [start, { ...last, ...more }] });
  };
  return (
    <div className="grid gap-4">
      <p className="text-ink2">
        Measure each leg between the points where the middle lines of the tube would cross; the first and the last to the finished ends.
      </p>
      <LengthField
        label={`Tube, outside ⌀, ${units.length}`}
        className="w-40"
        fine
        value={sheet.tubeOdMm}
        onSay={(mm) => mm !== null && mm > 0 && onSay({ ...sheet, tubeOdMm: mm })}
      />
      {sheet.legs.map((leg, i) => (
        <div key={i} className="flex flex-wrap items-end gap-3">
          <LengthField
            label={`Leg ${i + 1}, ${units.length}`}
            className="w-32"
            value={leg}
            onSay={(mm) => mm !== null && mm > 0 && onSay({ ...sheet, legs: sheet.legs.map((l, n) => (n === i ? mm : l)) })}
          />
          {sheet.bends[i] !== undefined && (
            <>
              <AngleField
                label={`Bend ${i + 1}, °`}
                className="w-24"
                value={sheet.bends[i].angleDeg}
                onSay={(deg) => deg !== null && deg > 0 && deg < 180 && bend(i, { angleDeg: deg })}
              />
              <LengthField
                label={`Radius, ${units.length}`}
                className="w-32"
                hint={`empty: ${sayLength(rules.bendRadiusMm, units)}`}
                value={sheet.bends[i].radiusMm}
                onSay={(mm) => (mm === null || mm > 0) && bend(i, { radiusMm: mm })}
              />
              <SelectField
                label="To the"
                className="w-24"
                value={sheet.bends[i].turn}
                options={TURNS}
                onSay={(turn) => bend(i, { turn })}
              />
            </>
          )}
        </div>
      ))}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn-quiet" disabled={sheet.legs.length >= 30} onClick={() => onSay(withLeg(sheet))}>
          Another bend and leg
        </button>
        {sheet.legs.length > 1 && (
          <button type="button" className="btn-quiet" onClick={() => onSay(withoutLeg(sheet))}>
            One leg less
          </button>
        )}
        <button
          type="button"
          className="btn-quiet"
          disabled={sheet.coils.length >= 10}
          onClick={() => onSay({ ...sheet, coils: [...sheet.coils, { leg: 0, turns: 2, coreMm: 40 }] })}
        >
          A coil against vibration
        </button>
      </div>
      {sheet.coils.map((c, i) => (
        <div key={i} className="flex flex-wrap items-end gap-3">
          <SelectField
            label="Coil in leg"
            className="w-28"
            value={c.leg}
            options={sheet.legs.map((_, n) => ({ value: n, text: String(n + 1) }))}
            onSay={(leg) => coil(i, { leg })}
          />
          <NumberField label="Turns" className="w-24" value={c.turns} onSay={(n) => n !== null && coil(i, { turns: n })} />
          <LengthField
            label={`Wound on ⌀, ${units.length}`}
            className="w-36"
            value={c.coreMm}
            onSay={(mm) => mm !== null && mm > 0 && coil(i, { coreMm: mm })}
          />
          <button type="button" className="btn-quiet" onClick={() => onSay({ ...sheet, coils: sheet.coils.filter((_, n) => n !== i) })}>
            Take away coil {i + 1}
          </button>
        </div>
      ))}
      {([0, 1] as const).map((i) => (
        <fieldset key={i} className="flex min-w-0 flex-wrap items-end gap-3">
          <legend className="font-bold">{i === 0 ? 'Start' : 'End'}</legend>
          <SelectField
            label="What the port shows"
            className="w-72"
            value={sheet.ends[i].seat}
            none="not looked at"
            options={SEAT_NAMES}
            say={(s) => SEATS[s].see}
            onSay={(seat) => end(i, { seat })}
          />
          <SelectField
            label="Flare"
            className="w-56"
            value={sheet.ends[i].flare}
            options={FLARE_NAMES}
            say={(f) => FLARES[f].label}
            onSay={(flare) => end(i, { flare })}
          />
          <TextField
            label="Thread of the port"
            className="w-36"
            value={sheet.ends[i].port}
            maxLength={50}
            suggested={THREADS.map((t) => t.name)}
            onSay={(port) => end(i, { port })}
          />
          <TextField
            label="Thread of the nut"
            className="w-36"
            value={sheet.ends[i].nut}
            maxLength={50}
            suggested={THREADS.map((t) => t.name)}
            onSay={(nut) => end(i, { nut })}
          />
        </fieldset>
      ))}
      <div className="max-w-xl">
        <ThreadHelp onTake={(thread) => end(sheet.ends[0].nut === '' ? 0 : 1, { nut: thread })} />
      </div>
    </div>
  );
}
