'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { BookIn as BookInSent } from '@/core/book-in/book-in-doors';
import { NEEDS_OPEN, type TestName } from '@/core/book-in/cause';
import { COMPLAINT_NAMES, COMPLAINTS, type Complaint } from '@/core/book-in/complaint';
import type { FinishedCounts, Likelihoods } from '@/core/book-in/likelihoods';
import { type Answer, likelyCauses, testsWorthMaking } from '@/core/book-in/reason';
import { FAMILIES } from '@/core/family/families';
import { geometryAt } from '@/core/family/family';
import { ADJACENT_NAMES, FAMILY_NAMES, type UnitKind } from '@/core/family/family-name';
import { MATERIAL_WORDS, MATERIALS, type Material } from '@/core/family/material';
import { familyOf, type Variant } from '@/core/family/variant-door';
import { NOMINAL_SIZES } from '@/core/gauge/nominal';
import { parseLength, sayQuantityError } from '@/core/quantity/parse';
import { sayNominal } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { wholeParts } from '@/core/unit/drawn-parts';
import { saySaveError } from '@/core/unit/save-error';
import { tagOf } from '@/core/unit/unit-record';
import { SectionDrawing } from '../drawing/section-drawing';
import { Silhouette } from '../drawing/silhouette';
import { SendingNote } from '../photo/sending-note';
import { usePhotos } from '../photo/use-photos';
import type { Ask } from '../save/use-ask';
import { Causes } from '../strip/causes';

type Booked = { readonly unitId: string; readonly tagNo: number };

/** The counter's form: who, what off, which family, what is wrong, until when. Gives the tag. */
export function BookIn({
  units,
  variants,
  model,
  finished,
  bookIn,
}: {
  readonly units: Units;
  readonly bookIn: Ask<BookInSent, Booked>;
  readonly variants: readonly { readonly id: string; readonly variant: Variant }[];
  readonly model: Likelihoods;
  readonly finished: FinishedCounts;
}) {
  const router = useRouter();
  const [unitId, setUnitId] = useState(uuidv7);
  const [choice, setChoice] = useState<string>('master-single');
  const [tests, setTests] = useState<readonly { readonly name: TestName; readonly answer: Answer }[]>([]);
  const [material, setMaterial] = useState<Material>('cast-iron');
  const [bore, setBore] = useState('');
  const [complaints, setComplaints] = useState<readonly Complaint[]>([]);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const [booked, setBooked] = useState<Booked>();
  const { send, sending } = usePhotos(unitId, 'out');
  const variant = variants.find((v) => v.id === choice);
  const kind = variant?.variant.base ?? (choice as UnitKind);
  const family = familyOf(kind, variant?.variant ?? null);
  const likely = likelyCauses({ kind, complaints, tests }, model, finished);
  const hasBore = family.bore !== 'none';
  const read = bore.trim() === '' ? undefined : parseLength(bore, units.length);

  const submit = async (form: FormData): Promise<void> => {
    setBusy(true);
    const text = (name: string): string => String(form.get(name) ?? '');
    const promised = new Date(`${text('promisedDate')}T${text('promisedTime') || '16:00'}`).getTime();
    const entry = {
      unitId,
      customer: text('customer'),
      phone: text('phone'),
      machine: text('machine'),
      family: kind,
      variantId: variant?.id ?? null,
      tests,
      position: text('position'),
      material,
      complaints,
      complaintText: text('complaintText'),
      identityMarks: text('identityMarks'),
      comebackTag: text('comebackTag'),
    };
    try {
      const result = await bookIn({
        ...entry,
        nominalMm: hasBore && read?.ok ? read.value : null,
        promisedAt: Number.isNaN(promised) ? null : promised,
      });
      if (!result.ok) return setFaults(saySaveError(result.error).map(plainField));
      const pictures = form.getAll('photos').filter((f): f is File => f instanceof File && f.size > 0);
      void send(pictures, { kind: 'unit', id: unitId }, 'as it came');
      setFaults([]);
      setBooked(result.value);
    } catch {
      setFaults(['No connection. Everything you typed is still here: book in again when it is back; it cannot be booked twice.']);
    } finally {
      setBusy(false);
    }
  };

  if (booked !== undefined) {
    const tag = tagOf(booked);
    return (
      <div className="mx-auto max-w-3xl px-4 py-8">
        <h1 className="text-2xl font-bold">Booked in: {tag}</h1>
        <p className="mt-2 mb-4 text-ink2">Print the label and tie it on before the unit leaves the counter.</p>
        <Faults faults={faults} />
        <SendingNote sending={sending} />
        <div className="mb-6 w-fit border border-line bg-white p-3">
          {/* biome-ignore lint/performance/noImgElement: an SVG of our own, nothing to optimise */}
          <img src={`/api/v1/units/${tag}/label.svg`} alt={`Label of ${tag}`} width={340} height={150} />
        </div>
        <div className="flex flex-wrap gap-3">
          <a className="btn" href={`/api/v1/units/${tag}/label.pdf`} target="_blank" rel="noreferrer">
            Print the label
          </a>
          <a className="btn-quiet" href={`/api/v1/units/${tag}/traveller.pdf`} target="_blank" rel="noreferrer">
            Print the traveller
          </a>
          <button type="button" className="btn-quiet" onClick={() => router.push(`/units/${tag}`)}>
            Go to the unit
          </button>
          <button
            type="button"
            className="btn-quiet"
            onClick={() => {
              setBooked(undefined);
              setFaults([]);
              setUnitId(uuidv7());
              setComplaints([]);
              setTests([]);
              setBore('');
            }}
          >
            Book in the next
          </button>
        </div>
      </div>
    );
  }
  return (
    // The fields keep what was typed when the server refuses it, so the form is not reset as an action's would be.
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void submit(new FormData(e.currentTarget));
      }}
      className="mx-auto grid max-w-6xl gap-x-8 gap-y-4 px-4 py-5 md:grid-cols-2"
    >
      <h1 className="text-xl font-bold md:col-span-2">Book in</h1>
      <div className="grid content-start gap-3">
        <Field label="Customer" name="customer" autoFocus />
        <Field label="Telephone" name="phone" inputMode="tel" />
        <Field label="Machine" name="machine" hint="What it is off: make, type, year" />
        <Field label="Where on the machine" name="position" hint="Front left, clutch, …" />
        <Field label="Marks on it" name="identityMarks" hint="Casting marks, numbers, paint" />
        <Field label="Back again? Its old tag" name="comebackTag" hint="SQ-0031, if it was here before" />
        <div className="grid grid-cols-2 gap-3">
          <Field label="Promised for" name="promisedDate" type="date" />
          <Field label="at" name="promisedTime" type="time" defaultValue="16:00" />
        </div>
      </div>
      <div className="grid content-start gap-3">
        <div className="flex items-end gap-4">
          <div className="min-w-0 flex-1">
            <label className="label" htmlFor="family">
              Family
            </label>
            <select id="family" className="field" value={choice} onChange={(e) => setChoice(e.target.value)}>
              <optgroup label="Cylinders">
                {FAMILY_NAMES.map((f) => (
                  <option key={f} value={f}>
                    {FAMILIES[f].label}
                  </option>
                ))}
              </optgroup>
              {variants.length > 0 && (
                <optgroup label="This shop’s own">
                  {variants.map((v) => (
                    <option key={v.id} value={v.id}>
                      {v.variant.label}
                    </option>
                  ))}
                </optgroup>
              )}
              <optgroup label="Beside them, no bore">
                {ADJACENT_NAMES.map((f) => (
                  <option key={f} value={f}>
                    {FAMILIES[f].label}
                  </option>
                ))}
              </optgroup>
            </select>
          </div>
          <span className="flex min-h-[44px] items-center">
            <Silhouette family={kind} label={family.label} />
          </span>
        </div>
        <div className={hasBore ? 'grid grid-cols-2 gap-3' : 'hidden'}>
          <div>
            <label className="label" htmlFor="bore">
              Bore as cast or listed
            </label>
            <input
              id="bore"
              className="field"
              value={bore}
              onChange={(e) => setBore(e.target.value)}
              list="sizes"
              placeholder="7/8 or 22.2 mm"
              aria-describedby="bore-note"
            />
            <datalist id="sizes">
              {NOMINAL_SIZES.map((s) => (
                <option key={s.label} value={s.label} />
              ))}
            </datalist>
            <p id="bore-note" className={`text-[13px] ${read !== undefined && !read.ok ? 'text-red' : 'text-ink2'}`}>
              {read === undefined
                ? 'The gauge will tell; this is what it should be.'
                : read.ok
                  ? `${sayNominal(read.value)} = ${read.value.toFixed(3)} mm`
                  : sayQuantityError(read.error)}
            </p>
          </div>
          <div>
            <label className="label" htmlFor="material">
              Bore material
            </label>
            <select id="material" className="field" value={material} onChange={(e) => setMaterial(e.target.value as Material)}>
              {MATERIALS.map((m) => (
                <option key={m} value={m}>
                  {MATERIAL_WORDS[m]}
                </option>
              ))}
            </select>
          </div>
        </div>
        <fieldset>
          <legend className="label">What the customer says</legend>
          <div className="flex flex-wrap gap-1.5">
            {COMPLAINT_NAMES.map((c) => {
              const on = complaints.includes(c);
              return (
                <button
                  key={c}
                  type="button"
                  aria-pressed={on}
                  onClick={() => setComplaints(on ? complaints.filter((x) => x !== c) : [...complaints, c])}
                  className={`min-h-9 border px-2.5 ${on ? 'border-act bg-tint2 font-bold text-act' : 'border-line bg-sheet'}`}
                >
                  {COMPLAINTS[c]}
                </button>
              );
            })}
          </div>
        </fieldset>
        <Field label="In their own words" name="complaintText" />
        <div>
          <label className="label" htmlFor="photos">
            Photos as it came
          </label>
          <input
            id="photos"
            name="photos"
            type="file"
            accept="image/*"
            multiple
            className="block w-full text-ink2 file:mr-3 file:min-h-[44px] file:border file:border-line file:bg-sheet file:px-3 file:text-ink"
          />
        </div>
      </div>
      <div className="md:col-span-2">
        <Faults faults={faults} />
        <button type="submit" disabled={busy} className="btn mt-2">
          {busy ? 'Booking in' : 'Book in and give it a tag'}
        </button>
      </div>
      <div className="grid content-start gap-3">
        {family.drawing !== null && (
          <>
            <h2 className="head">{family.label}, as its makers mostly build it</h2>
            <div className="border border-line bg-sheet p-2">
              <SectionDrawing
                family={family}
                geometry={geometryAt(family.drawing, read?.ok ? read.value : family.drawing.atMm)}
                units={units}
                parts={wholeParts(family)}
                view="together"
                trayHref={null}
              />
            </div>
          </>
        )}
      </div>
      <section aria-label="Likely causes">
        <h2 className="head mb-2">What it may be</h2>
        <Causes
          likely={likely}
          // Nobody can look inside yet.
          next={testsWorthMaking(
            likely,
            tests.map((t) => t.name),
          ).filter((t) => !NEEDS_OPEN.includes(t.test))}
          tests={tests}
          finished={finished.units}
          onTest={(name, answer) => setTests([...tests.filter((t) => t.name !== name), ...(answer === null ? [] : [{ name, answer }])])}
        />
      </section>
    </form>
  );
}

const Faults = ({ faults }: { readonly faults: readonly string[] }) => (
  <div role="alert" className={faults.length === 0 ? '' : 'mb-3 border-l-4 border-red bg-sheet px-3 py-2 text-red'}>
    {faults.map((f) => (
      <p key={f}>{f}</p>
    ))}
  </div>
);

const FIELD_WORDS: Readonly<Record<string, string>> = {
  customer: 'Customer',
  machine: 'Machine',
  nominalMm: 'Bore',
  promisedAt: 'Promised for',
};
const plainField = (fault: string): string =>
  fault.replace(/^(\w+): /, (all, name: string) => (FIELD_WORDS[name] === undefined ? all : `${FIELD_WORDS[name]}: `));

function Field({
  label,
  name,
  hint,
  ...rest
}: { readonly label: string; readonly name: string; readonly hint?: string } & React.InputHTMLAttributes<HTMLInputElement>) {
  return (
    <div>
      <label className="label" htmlFor={name}>
        {label}
      </label>
      <input id={name} name={name} className="field" placeholder={hint} {...rest} />
    </div>
  );
}
