'use client';

import { useState } from 'react';
import { renamed, withEnd, withEndSaid, withLine, without, withScrew, withTee } from '@/core/bleed/edit-system';
import { END_KIND_NAMES, END_KINDS, ODD_NAMES, ODDITIES } from '@/core/bleed/end-kind';
import type { System, SystemEnd } from '@/core/bleed/system';
import { LengthField, NumberField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { useUnits } from '../shell/units-context';

type Props = {
  readonly system: System;
  readonly place: string;
  readonly onSay: (system: System) => void;
  readonly onPick: (place: string) => void;
  /** It is called otherwise now. */
  readonly onName: (place: string) => void;
};

/** What is known of the place that is picked: the line to it, the screws on it; and what is joined to it next. */
export function PlaceForm({ system, place, onSay, onPick, onName }: Props) {
  const units = useUnits();
  const line = system.lines.find((l) => l.to === place);
  const ends = system.ends.filter((e) => e.at === place);
  const rest = without(system, place);
  const go = (next: { readonly system: System; readonly place: string }): void => {
    onSay(next.system);
    onPick(next.place);
  };
  return (
    <fieldset className="grid min-w-0 gap-3 border-l-4 border-act pl-3">
      <legend className="sr-only">{place}</legend>
      <NameField system={system} place={place} onSay={onSay} onName={onName} />
      {line !== undefined && (
        <div className="flex flex-wrap items-end gap-3">
          <LengthField
            label={`Line from ${line.from}, ${units.length}`}
            className="w-48"
            value={line.lengthMm}
            onSay={(mm) => mm !== null && mm > 0 && onSay(withLine(system, line.id, { lengthMm: mm }))}
          />
          <LengthField
            label={`Its bore, ${units.length}`}
            className="w-32"
            value={line.innerMm}
            onSay={(mm) => mm !== null && mm > 0 && onSay(withLine(system, line.id, { innerMm: mm }))}
          />
        </div>
      )}
      {ends.map((e) => (
        <EndFields key={e.id} end={e} many={ends.length > 1} onSay={(more) => onSay(withEndSaid(system, e.id, more))} />
      ))}
      <div className="flex flex-wrap gap-2">
        {ends.length === 0 && (
          <>
            <button type="button" className="btn-quiet" onClick={() => go(withEnd(system, place))}>
              Line to a cylinder
            </button>
            <button type="button" className="btn-quiet" onClick={() => go(withTee(system, place))}>
              Line to a tee
            </button>
          </>
        )}
        {ends.length === 1 && (
          <button type="button" className="btn-quiet" onClick={() => onSay(withScrew(system, place))}>
            Another screw on it
          </button>
        )}
        {rest !== undefined && (
          <button
            type="button"
            className="btn-quiet"
            onClick={() => {
              onSay(rest);
              onPick(line?.from ?? rest.ends[0]?.at ?? '');
            }}
          >
            Take away
          </button>
        )}
      </div>
    </fieldset>
  );
}

/** The name, changed once the field is left: a name that is another’s stays as it was. */
function NameField({ system, place, onSay, onName }: Omit<Props, 'onPick'>) {
  const [name, setName] = useState(place);
  const done = (): void => {
    const next = renamed(system, place, name.trim());
    if (next === system) return setName(place);
    onSay(next);
    onName(name.trim());
  };
  return (
    <form
      className="w-64"
      onBlur={done}
      onSubmit={(e) => {
        e.preventDefault();
        done();
      }}
    >
      <TextField label="This place is called" value={name} maxLength={100} onSay={setName} />
    </form>
  );
}

const SITS = [
  { value: 'top', text: 'its highest point' },
  { value: 'low', text: 'lower than that' },
] as const;

function EndFields({
  end,
  many,
  onSay,
}: {
  readonly end: SystemEnd;
  readonly many: boolean;
  readonly onSay: (more: Partial<SystemEnd>) => void;
}) {
  const units = useUnits();
  return (
    <div className="grid gap-3">
      {many && <p className="font-bold">{end.id}</p>}
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="What sits here"
          className="w-72"
          value={end.kind}
          options={END_KIND_NAMES}
          say={(k) => END_KINDS[k].label}
          onSay={(kind) => onSay({ kind })}
        />
        <NumberField
          label="Fluid in it, ml"
          className="w-32"
          above={-1e-9}
          value={end.volumeMl}
          onSay={(ml) => ml !== null && onSay({ volumeMl: Math.max(0, ml) })}
        />
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <LengthField
          label={`Below the reservoir’s fluid, ${units.length}`}
          className="w-56"
          hint="− above it"
          value={end.dropMm ?? null}
          onSay={(dropMm) => onSay({ dropMm })}
        />
        <SelectField
          label="The bleed screw is"
          className="w-48"
          value={end.screwOnTop == null ? null : end.screwOnTop ? ('top' as const) : ('low' as const)}
          none="not looked at"
          options={SITS}
          onSay={(sits) => onSay({ screwOnTop: sits === null ? null : sits === 'top' })}
        />
      </div>
      <div className="flex flex-wrap gap-x-5">
        {ODD_NAMES.map((o) => (
          <label key={o} className="flex min-h-[44px] items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={end.odd.includes(o)}
              onChange={(e) => onSay({ odd: e.target.checked ? [...end.odd, o] : end.odd.filter((x) => x !== o) })}
            />
            {ODDITIES[o].label}
          </label>
        ))}
      </div>
    </div>
  );
}
