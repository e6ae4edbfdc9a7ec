'use client';

import { Check, TriangleAlert } from 'lucide-react';
import { startTransition, useOptimistic } from 'react';
import { type Family, partFacing } from '@/core/family/family';
import { PART_KINDS, type PartKind } from '@/core/family/part-kind';
import type { Units } from '@/core/quantity/units';
import { type GuideStep, guideFor } from '@/core/strip/guide';
import type { TrayPart } from '@/core/strip/tray-door';
import type { GuideTick, Photo } from '@/core/unit/unit-record';
import { LengthField } from '../field/quantity-field';
import { CameraButton } from '../photo/camera-button';
import { SendingNote } from '../photo/sending-note';
import { Thumbs } from '../photo/thumbs';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { LipPick } from './lip-pick';

type Entry = Pick<GuideTick, 'stepId' | 'note' | 'dims'> & { readonly outcome: 'done' | 'absent' | 'open' };

/** How to take this unit apart, step by step. One tap ticks a step; photos, a note and measures hang on it. */
export function Guide({
  target,
  family,
  tray,
  ticks,
  photos,
  units,
  tellStep,
  recordPart,
  open,
}: {
  readonly target: UnitTarget;
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  readonly ticks: readonly GuideTick[];
  readonly photos: readonly Photo[];
  readonly units: Units;
  readonly tellStep: SaveAction;
  readonly recordPart: SaveAction;
  readonly open: boolean;
}) {
  const { save, saving, acceptTheirs } = useSave(tellStep, target);
  const kinds = useSave(recordPart, target);
  const { send, sending } = usePhotos(target.unitId, 'out');
  const [known, expect] = useOptimistic<readonly Entry[], Entry>(
    ticks.map((t) => ({ ...t, outcome: 'done' })),
    (all, entry) => [...all.filter((t) => t.stepId !== entry.stepId), entry],
  );
  const steps = guideFor(family, tray);
  const entryOf = (id: string): Entry => known.find((t) => t.stepId === id) ?? { stepId: id, outcome: 'open', note: '', dims: {} };
  const now = steps.find((s) => entryOf(s.id).outcome === 'open');
  const tell = (entry: Entry): void =>
    startTransition(async () => {
      expect(entry);
      await save(entry);
    });
  const at = now === undefined ? -1 : steps.indexOf(now);
  const [past, ahead] = at > 0 ? [steps.slice(0, at), steps.slice(at)] : [[], steps];
  const list = (some: readonly GuideStep[], from: number) => (
    <ol className="border border-line bg-sheet" start={from + 1}>
      {some.map((s, i) => (
        <Step
          key={s.id}
          number={from + i + 1}
          step={s}
          entry={entryOf(s.id)}
          isNow={s.id === now?.id}
          photos={photos.filter((p) => p.onKind === 'step' && p.onId === s.id)}
          among={photos}
          held={heldBy(family, tray, s)}
          lips={tray.filter((p) => s.slots.includes(p.slotId) && p.found !== 'absent' && partFacing(family, p) !== undefined)}
          units={units}
          open={open}
          tell={tell}
          record={(partId, news) => void kinds.save({ partId, news })}
          onPhotos={(files) => void send(files, { kind: 'step', id: s.id }, s.photo ?? `step ${from + i + 1}`)}
        />
      ))}
    </ol>
  );
  return (
    <div>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
      <SaveNote saving={kinds.saving} onAcceptTheirs={kinds.acceptTheirs} />
      <SendingNote sending={sending} />
      {past.length > 0 && (
        <details className="mb-2">
          <summary className="min-h-[44px] content-center font-bold text-act">
            {past.length === 1 ? 'One step done' : `${past.length} steps done`}
          </summary>
          {list(past, 0)}
        </details>
      )}
      {list(ahead, past.length)}
    </div>
  );
}

type Held = { readonly part: TrayPart; readonly kinds: readonly PartKind[] };

/** The part of a step of which the family knows several kinds. */
const heldBy = (family: Family, tray: readonly TrayPart[], step: GuideStep): Held | undefined => {
  const slot = family.slots.find((s) => s.oneOf !== undefined && step.slots.includes(s.id));
  const part = tray.find((p) => p.slotId === slot?.id);
  return slot?.oneOf === undefined || part === undefined ? undefined : { part, kinds: slot.oneOf };
};

function Step({
  number,
  step,
  entry,
  isNow,
  photos,
  among,
  held,
  lips,
  units,
  open,
  tell,
  record,
  onPhotos,
}: {
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
  readonly units: Units;
  readonly open: boolean;
  readonly tell: (entry: Entry) => void;
  readonly record: (partId: string, news: Partial<Pick<TrayPart, 'kind' | 'faces'>>) => void;
  readonly onPhotos: (files: readonly File[]) => void;
}) {
  const done = entry.outcome !== 'open';
  const quiet = done && !isNow;
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
        <p className={quiet ? 'text-ink2' : isNow ? 'font-bold' : ''}>{step.todo}</p>
        <dl className="mt-0.5 flex flex-wrap gap-x-5 text-[13px]">
          {!quiet && step.tool !== null && <Fact label="tool" text={step.tool} />}
          {step.photo !== null && <Fact label="photograph" text={step.photo} />}
          {step.keep !== null && <Fact label="do not lose" text={step.keep} strong />}
        </dl>
        {!quiet && step.flies !== null && (
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
                units={units}
                value={typeof entry.dims[dim] === 'number' ? entry.dims[dim] : null}
                disabled={!open}
                onSay={(mm) => tell({ ...entry, outcome: 'done', dims: { ...entry.dims, [dim]: mm } })}
              />
            ))}
          </div>
        )}
        {(isNow || entry.note !== '') && (
          <input
            key={entry.note}
            className="field mt-1"
            aria-label={`Note on step ${number}`}
            placeholder="Note"
            disabled={!open}
            defaultValue={entry.note}
            onBlur={(e) => e.target.value !== entry.note && tell({ ...entry, outcome: 'done', note: e.target.value })}
          />
        )}
      </div>
      <div className="flex shrink-0 flex-wrap content-start justify-end gap-1 max-sm:w-full">
        <Thumbs photos={photos} among={among} />
        {open && isNow && step.slots.length > 0 && (
          <button type="button" className="btn-quiet" onClick={() => tell({ ...entry, outcome: 'absent' })}>
            There was none
          </button>
        )}
        {open && <CameraButton label={`Photo at step ${number}`} onPick={onPhotos} />}
      </div>
    </li>
  );
}

const Fact = ({ label, text, strong = false }: { readonly label: string; readonly text: string; readonly strong?: boolean }) => (
  <div className="flex gap-1.5">
    <dt className="text-ink2">{label}</dt>
    <dd className={strong ? 'font-bold' : ''}>{text}</dd>
  </div>
);
