'use client';

import { fixed, plain } from '@/core/quantity/figure';
import { MM_PER_INCH, type Units } from '@/core/quantity/units';
import type { GapWay } from '@/core/set/gap-record';
import { type GapField, type GapSheet, STEPS_MM, USUAL_STEP_MM, USUAL_U_MM } from '@/core/set/gap-sheet';
import { sayFine } from '@/core/set/say-gap';
import { LengthField, NumberField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { useUnits } from '../shell/units-context';

/** A field of the sheet and what a bench calls it. */
export type Asked = readonly [GapField, string];

export const DEPTHS: readonly Asked[] = [
  ['standOff', 'Rim stands off the flange'],
  ['socket', 'Socket, from the rim'],
  ['edge', 'Straight edge is thick'],
  ['reading', 'Outer side of it to the tip'],
  ['spacer', 'Spacer'],
];
export const PLAY: readonly Asked[] = [['play', 'Rod moves before the piston does']];
const AGAIN: readonly Asked[] = [
  ['standOff2', 'Rim, again'],
  ['socket2', 'Socket, again'],
  ['edge2', 'Straight edge, again'],
  ['reading2', 'To the tip, again'],
];
const PLAY_AGAIN: readonly Asked[] = [['play2', 'Rod’s play, again']];

const MORE: readonly (readonly [string, readonly Asked[]])[] = [
  [
    'Rod and pedal',
    [
      ['pitch', 'Pitch of the rod’s end'],
      ['ratio', 'Pedal ratio'],
      ['slack', 'Slack of the linkage'],
    ],
  ],
  [
    'The old unit',
    [
      ['oldStandOff', 'Its rim'],
      ['oldSocket', 'Its socket'],
    ],
  ],
  [
    'Another rod',
    [
      ['rodOld', 'Old rod, overall'],
      ['rodNew', 'New rod, overall'],
    ],
  ],
  [
    'Warmth',
    [
      ['rodLength', 'Length of the rod'],
      ['rodAlpha', 'Rod grows, millionths a K'],
      ['bodyAlpha', 'Body grows, millionths a K'],
    ],
  ],
  [
    'How well one depth repeats (one sigma; grey: counted where nobody says)',
    [
      ['uMaster', 'Each depth of the master'],
      ['uBooster', 'Each depth at the booster'],
    ],
  ],
  [
    'Turnbuckle',
    [
      ['pitch1', 'Pitch at one end'],
      ['pitch2', 'Pitch at the other'],
    ],
  ],
];
/** What is no length: a plain number on the sheet. */
const PLAIN: readonly GapField[] = ['ratio', 'rodAlpha', 'bodyAlpha'];

type Props = { readonly sheet: GapSheet; readonly say: (f: GapField, value: number | null) => void };

export const GapFields = ({ fields, sheet, say }: Props & { readonly fields: readonly Asked[] }) => {
  const units = useUnits();
  return (
    <div className="flex flex-wrap items-end gap-3">
      {fields.map(([f, label]) =>
        PLAIN.includes(f) ? (
          <NumberField key={f} label={label} value={sheet[f] ?? null} onSay={(v) => say(f, v)} />
        ) : (
          <LengthField
            key={f}
            label={`${label}, ${units.length}`}
            hint={f === 'uMaster' || f === 'uBooster' ? sayFine(USUAL_U_MM, units) : undefined}
            className="w-36"
            fine
            say="typing"
            value={sheet[f] ?? null}
            onSay={(mm) => say(f, mm)}
          />
        ),
      )}
    </div>
  );
};

/** The second reading of what decides. The gauge is taken off and set again between the two. */
export const SecondFields = ({ way, ...props }: Props & { readonly way: GapWay }) => (
  <section className="border-l-4 border-amber pl-3" aria-label="Second readings">
    <p className="mb-1">Each once more: lift the gauge off, set it again, and do not look at the first reading.</p>
    <GapFields {...props} fields={way === 'depths' ? AGAIN : PLAY_AGAIN} />
  </section>
);

/** What the depth gauge reads to; where nobody says, the usual step counts. */
export const StepField = ({ sheet, say }: Props) => {
  const units = useUnits();
  return (
    <SelectField
      label={`Read to, ${units.length}`}
      className="w-44"
      value={sheet.step}
      options={STEPS_MM}
      say={(mm) => sayStep(mm, units)}
      none={`${sayStep(USUAL_STEP_MM, units)} (not said)`}
      onSay={(value) => say('step', value)}
    />
  );
};
const sayStep = (mm: number, units: Units): string => (units.length === 'mm' ? plain(mm) : fixed(mm / MM_PER_INCH, 4));

/** All that may be asked beside the gap itself, by what it answers. */
export const MoreGapFields = ({ onHand, ...props }: Props & { readonly onHand: (oneLeftHanded: boolean) => void }) => (
  <details className="border-t border-hair pt-2 print:hidden">
    <summary className="min-h-9 cursor-pointer font-bold text-act">Turns, pedal, the old unit, another rod, warmth</summary>
    <div className="mt-2 grid gap-3">
      {MORE.map(([name, fields]) => (
        <fieldset key={name}>
          <legend className="label">{name}</legend>
          <GapFields {...props} fields={fields} />
          {name === 'Turnbuckle' && (
            <label className="inline-flex min-h-[44px] items-center gap-2">
              <input
                type="checkbox"
                className="size-5 accent-act"
                checked={props.sheet.oneLeftHanded ?? false}
                onChange={(e) => onHand(e.target.checked)}
              />
              one end left-handed
            </label>
          )}
        </fieldset>
      ))}
    </div>
  </details>
);
