'use client';

import { useState } from 'react';
import { identifyAction } from '@/app/actions/identify';
import type { Feature, Measured } from '@/core/identify/feature';
import { type Fitment, sayFitment } from '@/core/identify/fitment';
import type { InStore } from '@/core/identify/identify';
import { queryOf } from '@/core/identify/identify-query';
import { fixed } from '@/core/quantity/figure';
import { sayLength, sayNominal } from '@/core/quantity/say';
import { SelectField } from '../field/select-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { Go } from '../shell/go';
import { useRead } from '../shell/reads';
import { useUnits } from '../shell/units-context';
import { useAddress } from '../shell/use-address';
import { MeasuredFields } from './measured-fields';

const WORDS: { readonly [F in Feature]: string } = {
  boreMm: 'bore',
  strokeMm: 'stroke',
  bodyLengthMm: 'length of the body',
  studPitchMm: 'stud pitch',
  portThreads: 'port threads',
  outletCount: 'number of outlets',
  castingMark: 'casting mark',
};

/** The unit that is being told what it is; `open`: this person may say so. */
type ToldUnit = { readonly tag: string; readonly machine: string; readonly is: string | null; readonly open: boolean };

/** The worksheet of "what is this unit": what can be measured, the fitments it may be, and what to measure next. It stands in the address. */
export function Identify({
  measured: start,
  family: startFamily,
  families,
  first,
  unit,
}: {
  readonly measured: Measured;
  readonly family: string | null;
  readonly families: readonly { readonly name: string; readonly label: string }[];
  readonly first: InStore;
  /** The unit that is being told, where there is one. */
  readonly unit: ToldUnit | undefined;
}) {
  const [measured, setMeasured] = useState(start);
  const [family, setFamily] = useState(startFamily);
  const query = new URLSearchParams([
    ...new URLSearchParams(queryOf(measured)),
    ...(family === null ? [] : [['family', family] as [string, string]]),
  ]).toString();
  const [begun] = useState(query);
  const tag = unit?.tag;
  useAddress('/kits/identify', tag === undefined ? query : `unit=${tag}&${query}`);
  const read = useRead<InStore>(`/api/v1/store/identify?${query}`, query === begun ? first : undefined);
  const answer = read.data ?? first;
  const say = (news: Measured): void =>
    setMeasured((m) => Object.fromEntries(Object.entries({ ...m, ...news }).filter(([, v]) => v != null)));
  const next = answer.measureNext?.feature;
  return (
    <div className="grid gap-x-6 gap-y-4 lg:grid-cols-[18rem_minmax(0,1fr)]">
      <section aria-label="What was measured" className="grid content-start gap-2">
        <h2 className="head">MEASURED</h2>
        {unit !== undefined && (
          <p>
            <Go href={`/units/${unit.tag}`} className="font-bold text-brass underline">
              {unit.tag}
            </Go>{' '}
            {unit.machine}
            {unit.is !== null && <span className="block text-ink2">taken to be: {unit.is}</span>}
          </p>
        )}
        <SelectField
          label="Kind of unit"
          className="pl-3"
          value={family}
          options={families.map((f) => ({ value: f.name, text: f.label }))}
          none="any"
          onSay={setFamily}
        />
        <MeasuredFields measured={measured} next={next} onSay={say} />
      </section>
      <section aria-label="What it may be" aria-live="polite">
        <h2 className="head mb-1">IT MAY BE</h2>
        {read.isError && <p className="text-amber">No answer came: what is shown is of the readings before.</p>}
        {answer.inAll === 0 ? (
          <p className="text-ink2">The store knows no fitment of this kind yet: import them, and measured units will tell themselves.</p>
        ) : (
          <p className={`mb-2 ${answer.noneFits ? 'border-l-4 border-amber pl-3' : 'border-l-4 border-act pl-3'}`}>
            {answer.noneFits && 'None of them fits what was measured: gauge again, or it is one the store does not know. '}
            {next === undefined ? (
              !answer.noneFits && 'Nothing more that could be measured would tell these apart.'
            ) : (
              <>
                Measure the <b>{WORDS[next]}</b> next: of all that is left it tells most
                {answer.measureNext !== null && ` (${fixed(answer.measureNext.dropBits, 1)} bits)`}.
              </>
            )}
          </p>
        )}
        <p className="mb-1 text-[13px] text-ink2">
          Chances among the fitments on record, by what was measured: one that is not on record is not among them.
        </p>
        {answer.candidates.map((c) => (
          <Row key={c.id} c={c} unit={unit} measured={measured} />
        ))}
        {answer.inAll > answer.candidates.length && (
          <p className="mt-1 text-[13px] text-ink2">{answer.inAll - answer.candidates.length} more are less likely.</p>
        )}
      </section>
    </div>
  );
}

function Row({
  c,
  unit,
  measured,
}: {
  readonly c: InStore['candidates'][number];
  readonly unit: ToldUnit | undefined;
  readonly measured: Measured;
}) {
  const units = useUnits();
  const { fitment } = c;
  return (
    <article aria-label={sayFitment(fitment)} className="border border-b-0 border-line bg-sheet px-3 py-1.5 last-of-type:border-b">
      <div className="flex flex-wrap items-center gap-x-4">
        <b className="w-14 text-right text-lg tabular-nums">{sayShare(c.probability)}</b>
        <svg width="80" height="10" viewBox="0 0 80 10" aria-hidden="true">
          <rect x="0.5" y="0.5" width="79" height="9" fill="none" stroke="var(--line)" />
          <rect x="0.5" y="0.5" width={79 * c.probability} height="9" fill="var(--act)" />
        </svg>
        <span className="font-bold">{sayFitment(fitment)}</span>
        {unit?.open === true && <ItIs unit={unit} fitment={fitment} measured={measured} />}
      </div>
      <p className="text-[13px] text-ink2">
        {[
          fitment.features.boreMm == null ? '' : `bore ${sayNominal(fitment.features.boreMm)}`,
          fitment.features.strokeMm == null ? '' : `stroke ${sayLength(fitment.features.strokeMm, units)}`,
          fitment.features.bodyLengthMm == null ? '' : `body ${sayLength(fitment.features.bodyLengthMm, units)}`,
          fitment.features.portThreads?.join(', ') ?? '',
          fitment.features.castingMark == null ? '' : `cast ${fitment.features.castingMark}`,
        ]
          .filter((t) => t !== '')
          .join(' · ')}
        {c.seen > 0 && ` · ${c.seen} measured here`}
      </p>
      <p className="text-[13px]">
        {c.agree.length > 0 && <span>agrees: {c.agree.map((f) => WORDS[f]).join(', ')}. </span>}
        {c.clash.length > 0 && <span className="text-amber">clashes: {c.clash.map((f) => WORDS[f]).join(', ')}. </span>}
        {fitment.kits.length > 0 && (
          <span>
            kits:{' '}
            {fitment.kits.map((k) => (
              <Go key={k} href={`/kits/${encodeURIComponent(k)}`} className="mr-2 font-bold text-brass underline">
                {k}
              </Go>
            ))}
          </span>
        )}
        {fitment.note !== '' && <span className="text-amber">{fitment.note}</span>}
      </p>
    </article>
  );
}

function ItIs({ unit, fitment, measured }: { readonly unit: ToldUnit; readonly fitment: Fitment; readonly measured: Measured }) {
  const { save, saving, decide } = useSave(identifyAction);
  return unit.is === sayFitment(fitment) ? (
    <b className="ml-auto text-act">it is this one</b>
  ) : (
    <span className="ml-auto">
      <button
        type="button"
        className="btn-quiet"
        disabled={saving.kind === 'saving'}
        onClick={() => void save({ fitmentId: fitment.id, measured })}
      >
        It is this one
      </button>
      <SaveNote saving={saving} onDecide={decide} />
    </span>
  );
}

const sayShare = (p: number): string => (p > 0.995 ? '>99 %' : p < 0.005 ? '<1 %' : `${Math.round(100 * p)} %`);
