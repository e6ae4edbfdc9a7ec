'use client';

import { Plus, X } from 'lucide-react';
import { type Control, useFieldArray, useFormContext } from 'react-hook-form';
import { uuidv7 } from 'uuidv7';
import { MOST_BRANCHES } from '@/core/shop/branch';
import { DAY_WORDS, DAYS } from '@/core/shop/hours';
import type { DaysOff } from '@/core/shop/hours-schema';
import { MOST_PLACES, PLACE_KIND_WORDS, PLACE_KINDS, type ShopSettings } from '@/core/shop/settings';
import { fieldsOf } from '../form/fields';

/** A form that holds the shop's settings, whatever else it holds. */
type Holds = { readonly settings: ShopSettings };
const { Text, Select, Count, Choice } = fieldsOf<Holds>();
/** Such a form's lists may be of any other form too: their names are given. */
const { Text: AnyText, Day: AnyDay } = fieldsOf<Record<string, unknown>>();

/** Every part of the shop that an owner sets, each under its heading. `opening`: the shop is not open yet, and its first tag is chosen. */
export function SettingsFields({ times, opening = false }: { readonly times: readonly string[]; readonly opening?: boolean }) {
  return (
    <>
      <Part title="The shop and its papers" note="Stands on certificates, travellers and verdicts.">
        <div className="flex flex-wrap gap-3">
          <Text name="settings.name" label="Name of the shop" className="min-w-64 flex-1" maxLength={80} autoFocus={opening} />
          <Text name="settings.telephone" label="Telephone" className="w-48" maxLength={40} inputMode="tel" />
        </div>
        <div className="flex flex-wrap gap-3">
          <Text name="settings.address" label="Address" className="min-w-64 flex-1" rows={2} maxLength={300} />
          <Text name="settings.onPapers" label="A line more on papers" className="min-w-64 flex-1" rows={2} maxLength={300} />
        </div>
      </Part>
      <Part
        title="Tags"
        note={
          opening
            ? 'What hangs on every unit. If you have numbered before, go on from there.'
            : 'Labels with letters of before still open their unit.'
        }
      >
        <div className="flex flex-wrap gap-3">
          <Text name="settings.tagPrefix" label="Letters" className="w-24" maxLength={5} />
          <Count name="settings.nextTag" label="Next number, at least" to={900_000_000} className="w-44" />
        </div>
      </Part>
      <Part title="How it is measured and written" note="Each bench can switch to the other units with u.">
        <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
          <Either name="settings.length" label="Lengths" words={{ mm: 'mm', in: 'inch' }} />
          <Either name="settings.pressure" label="Pressures" words={{ bar: 'bar', psi: 'psi' }} />
          <Either name="settings.decimalMark" label="Decimals" words={{ '.': '0.5', ',': '0,5' }} />
          <Text name="settings.currency" label="Currency" className="w-28" maxLength={3} placeholder="EUR" />
          <Text name="settings.timeZone" label="Time zone" className="w-64" maxLength={60} suggested={times} />
        </div>
      </Part>
      <Part title="Opening hours" note="Such as 8-12 13-17; nothing where it is closed. A promise outside of them is asked about.">
        <HoursFields name="settings.hours" label="Open on" />
        <DaysOffFields name="settings.closed" what="Closed" add="Add closed days" />
      </Part>
      <Part title="Branches" note="Only where the shop works in several places: each unit, person, bench and gauge is then at one of them.">
        <BranchFields />
      </Part>
      <Part title="Benches" note="Hones, baths and rigs that units wait for, as many as there are.">
        <PlaceFields />
      </Part>
      <Part title="Backups" note="One file with everything, made while people work and then read again.">
        <div className="flex flex-wrap gap-3">
          <Count name="settings.backup.hour" label="Every night at, o’clock" from={0} to={23} className="w-44" />
          <Count name="settings.backup.keep" label="How many are kept" to={400} className="w-40" />
          <Count name="settings.backup.warnDays" label="Warn when older than, days" to={60} className="w-52" />
          <Text
            name="settings.backup.folder"
            label="A second folder, such as a network drive"
            className="min-w-64 flex-1"
            maxLength={500}
            placeholder="none"
          />
        </div>
      </Part>
    </>
  );
}

/** One of two, under its label. @param words what each value says */
const Either = ({
  name,
  label,
  words,
}: {
  readonly name: 'settings.length' | 'settings.pressure' | 'settings.decimalMark';
  readonly label: string;
  readonly words: Readonly<Record<string, string>>;
}) => (
  <div>
    <p className="label">{label}</p>
    <Choice name={name} label={label} options={Object.entries(words).map(([value, text]) => ({ value, text }))} />
  </div>
);

/** One subject of the form, with what it is for. */
export function Part({ title, note, children }: { readonly title: string; readonly note?: string; readonly children: React.ReactNode }) {
  return (
    <fieldset className="grid gap-3 border-t border-line pt-3">
      <legend className="float-left mb-2 w-full">
        <span className="head">{title.toUpperCase()}</span>
        {note !== undefined && <span className="ml-3 text-[13px] text-ink2">{note}</span>}
      </legend>
      {children}
    </fieldset>
  );
}

/** Hours of each day of a week. @param label before the day's name, for those who do not see the row */
export function HoursFields({ name, label }: { readonly name: string; readonly label: string }) {
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
      {DAYS.map((day) => (
        <div key={day}>
          <p className="label" aria-hidden>
            {DAY_WORDS[day]}
          </p>
          <AnyText name={`${name}.${day}`} label={`${label} ${DAY_WORDS[day]}`} hideLabel maxLength={60} placeholder="closed" />
        </div>
      ))}
    </div>
  );
}

/** Days off, in a list that grows. */
export function DaysOffFields({ name, what, add }: { readonly name: string; readonly what: string; readonly add: string }) {
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control: control as unknown as Control<{ days: DaysOff }>, name: name as 'days' });
  return (
    <div className="grid gap-2">
      {fields.map((field, at) => (
        <div key={field.id} className="flex flex-wrap items-start gap-2">
          <AnyDay name={`${name}.${at}.from`} label={`${what} from`} className="w-48" />
          <AnyDay name={`${name}.${at}.until`} label="until, if longer" className="w-48" />
          <AnyText name={`${name}.${at}.why`} label="why" className="w-56" maxLength={80} />
          <Remove what={`these days, number ${at + 1}`} onRemove={() => remove(at)} />
        </div>
      ))}
      <Add text={add} onAdd={() => append({ from: '', until: '', why: '' })} />
    </div>
  );
}

function BranchFields() {
  const { control } = useFormContext<Holds>();
  const { fields, append, remove } = useFieldArray({ control, name: 'settings.branches', keyName: 'key' });
  return (
    <div className="grid gap-2">
      {fields.map((field, at) => (
        <div key={field.key} className="flex flex-wrap items-start gap-2">
          <Text name={`settings.branches.${at}.name`} label={`Name of branch ${at + 1}`} className="w-56" maxLength={40} />
          <Remove what={`branch ${at + 1}`} onRemove={() => remove(at)} />
          {at === 0 && <p className="mt-9 text-[13px] text-ink2">All that says no branch is here.</p>}
        </div>
      ))}
      {fields.length < MOST_BRANCHES && <Add text="Add a branch" onAdd={() => append({ id: uuidv7(), name: '' })} />}
    </div>
  );
}

function PlaceFields() {
  const { control, watch } = useFormContext<Holds>();
  const [first, ...others] = watch('settings.branches');
  const { fields, append, remove } = useFieldArray({ control, name: 'settings.places', keyName: 'key' });
  return (
    <div className="grid gap-2">
      {fields.map((field, at) => (
        <div key={field.key} className="flex flex-wrap items-start gap-2">
          <Select
            name={`settings.places.${at}.kind`}
            label={`Kind of bench ${at + 1}`}
            className="w-40"
            options={PLACE_KINDS}
            say={PLACE_KIND_WORDS}
          />
          <Text name={`settings.places.${at}.name`} label={`Name of bench ${at + 1}`} className="w-56" maxLength={40} />
          <Count name={`settings.places.${at}.holds`} label="Units at a time" to={200} className="w-32" />
          {first !== undefined && (
            <Select
              name={`settings.places.${at}.branch`}
              label={`Branch of bench ${at + 1}`}
              className="w-40"
              options={[{ value: '', text: first.name }, ...others.map((b) => ({ value: b.id, text: b.name }))]}
            />
          )}
          <Remove what={`bench ${at + 1}`} onRemove={() => remove(at)} />
        </div>
      ))}
      {fields.length < MOST_PLACES && (
        <Add text="Add a bench" onAdd={() => append({ id: uuidv7(), kind: 'hone', name: '', holds: 1, branch: '' })} />
      )}
    </div>
  );
}

const Add = ({ text, onAdd }: { readonly text: string; readonly onAdd: () => void }) => (
  <button type="button" className="btn-quiet inline-flex w-fit items-center gap-1.5" onClick={onAdd}>
    <Plus size={18} aria-hidden />
    {text}
  </button>
);

const Remove = ({ what, onRemove }: { readonly what: string; readonly onRemove: () => void }) => (
  <button type="button" className="btn-quiet mt-6 px-2.5" aria-label={`Take away ${what}`} onClick={onRemove}>
    <X size={18} aria-hidden />
  </button>
);
