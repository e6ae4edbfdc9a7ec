'use client';

import { Check, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { PART_KINDS, type PartKind } from '@/core/family/part-kind';
import type { GuideStep } from '@/core/strip/guide';
import type { GuideTick } from '@/core/strip/guide-tick';
import type { TrayPart } from '@/core/strip/tray-schema';
import type { Photo } from '@/core/unit/photo';
import { LengthField } from '../field/quantity-field';
import { CameraButton } from '../photo/camera-button';
import { Thumbs } from '../photo/thumbs';
import { useStation } from '../unit/station-context';
import { LipPick } from './lip-pick';

/** What is known of a step. */
export type Entry = Pick<GuideTick, 'stepId' | 'note' | 'dims'> & { readonly outcome: 'done' | 'absent' | 'open' };

/** The part of a step of which the family knows several kinds. */
export type Held = { readonly part: TrayPart; readonly kinds: readonly PartKind[] };

type Props = {
  readonly number: number;
  readonly step: GuideStep;
  readonly entry: Entry;
  readonly isNow: boolean;
  readonly photos: readonly Photo[];
  /** What the viewer pages through. */
  readonly among: readonly Photo[];
  readonly held: Held | undefined;
  /** Parts of this step whose lip has to be seen. */
  readonly lips: readonly TrayPart[];
  readonly tell: (entry: Entry) => void;
  readonly record: (partId: string, news: Partial<Pick<TrayPart, 'kind' | 'faces'>>) => void;
  readonly onPhotos: (files: readonly File[]) => void;
};

/** A step of the guide: the one whose turn it is shows all that is to be known; any other does when it is pressed. */
export function Step(props: Props) {
  const { open } = useStation();
  const { number, step, entry, isNow, photos, among, tell, onPhotos } = props;
  const [asked, setAsked] = useState(false);
  const full = isNow || asked;
  const done = entry.outcome !== 'open';
  return (
    <li
      className={`flex gap-3 border-b border-hair p-2 last:border-b-0 max-sm:flex-wrap ${isNow ? 'bg-tint2' : ''}`}
      aria-current={isNow ? 'step' : undefined}
    >
      {/* biome-ignore lint/a11y/useSemanticElements: a tick drawn large enough for a glove */}
      <button
        type="button"
        role="checkbox"
        aria-checked={done}
        aria-label={`Step ${number} done`}
        disabled={!open}
        onClick={() => tell({ ...entry, outcome: done ? 'open' : 'done' })}
        className={`flex size-[44px] shrink-0 items-center justify-center border ${done ? 'border-act bg-act text-on-act' : 'border-act bg-sheet text-act'} disabled:border-line disabled:text-ink2`}
      >
        {done ? <Check size={22} aria-hidden /> : number}
      </button>
      <div className="min-w-0 flex-1 max-sm:basis-48">
        {isNow ? (
          <p className="font-bold">{step.todo}</p>
        ) : (
          <button
            type="button"
            aria-expanded={asked}
            className={`min-h-[44px] w-full text-left ${done ? 'text-ink2' : ''}`}
            onClick={() => setAsked(!asked)}
          >
            {step.todo}
            {!full && entry.note !== '' && <span className="text-[13px]"> · {entry.note}</span>}
          </button>
        )}
        {full && <Details {...props} />}
      </div>
      <div className="flex shrink-0 flex-wrap content-start justify-end gap-1 max-sm:w-full">
        <Thumbs photos={photos} among={among} />
        {open && isNow && step.slots.length > 0 && (
          <button type="button" className="btn-quiet" onClick={() => tell({ ...entry, outcome: 'absent' })}>
            There was none
          </button>
        )}
        {open && full && <CameraButton label={`Photo at step ${number}`} onPick={onPhotos} />}
      </div>
    </li>
  );
}

/** Tool, what flies, what to photograph and not to lose; what the part is, how its lip faced, its measures, a note. */
function Details({ number, step, entry, held, lips, tell, record }: Props) {
  const { open } = useStation();
  return (
    <>
      <dl className="mt-0.5 flex flex-wrap gap-x-5 text-[13px]">
        {step.tool !== null && <Fact label="tool" text={step.tool} />}
        {step.photo !== null && <Fact label="photograph" text={step.photo} />}
        {step.keep !== null && <Fact label="do not lose" text={step.keep} strong />}
      </dl>
      {step.flies !== null && (
        <p className="mt-0.5 flex gap-2 text-[13px]">
          <TriangleAlert size={16} className="mt-0.5 shrink-0 text-amber" aria-label="Caution" />
          {step.flies}
        </p>
      )}
      {held !== undefined && (
        <label className="mt-1 flex flex-wrap items-center gap-2 text-[13px]">
          what is it?
          <select
            className="field w-auto"
            disabled={!open}
            value={held.part.kind}
            onChange={(e) => record(held.part.id, { kind: e.target.value as PartKind })}
          >
            {held.kinds.map((k) => (
              <option key={k} value={k}>
                {PART_KINDS[k].label}
              </option>
            ))}
          </select>
        </label>
      )}
      {lips.map((p) => (
        <div key={p.id} className="mt-1 flex flex-wrap items-center gap-2 text-[13px]">
          how did the lip of the {p.name} face?
          <LipPick label={`Lip of the ${p.name}`} value={p.faces} disabled={!open} onPick={(faces) => record(p.id, { faces })} />
        </div>
      ))}
      {step.measure.length > 0 && (
        <div className="mt-1 flex flex-wrap gap-3">
          {step.measure.map(({ dim, label }) => (
            <LengthField
              key={dim}
              className="w-44"
              label={`before it moves: ${label}`}
              value={typeof entry.dims[dim] === 'number' ? entry.dims[dim] : null}
              disabled={!open}
              onSay={(mm) => tell({ ...entry, outcome: 'done', dims: { ...entry.dims, [dim]: mm } })}
            />
          ))}
        </div>
      )}
      <input
        key={entry.note}
        className="field mt-1"
        aria-label={`Note on step ${number}`}
        placeholder="Note"
        disabled={!open}
        defaultValue={entry.note}
        onBlur={(e) => e.target.value !== entry.note && tell({ ...entry, outcome: 'done', note: e.target.value })}
      />
    </>
  );
}

const Fact = ({ label, text, strong = false }: { readonly label: string; readonly text: string; readonly strong?: boolean }) => (
  <div className="flex gap-1.5">
    <dt className="text-ink2">{label}</dt>
    <dd className={strong ? 'font-bold' : ''}>{text}</dd>
  </div>
);
