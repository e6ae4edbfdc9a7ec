'use client';

import { startTransition, useOptimistic } from 'react';
import { recordPartAction, tellStepAction } from '@/app/actions/strip';
import { type Family, partFacing } from '@/core/family/family';
import { type GuideStep, guideFor } from '@/core/strip/guide';
import type { GuideTick } from '@/core/strip/guide-tick';
import type { TrayPart } from '@/core/strip/tray-schema';
import type { Photo } from '@/core/unit/photo';
import { SendingNote } from '../photo/sending-note';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from '../unit/station-context';
import { type Entry, type Held, Step } from './guide-step';

/** How to take this unit apart, step by step. One tap ticks a step; photos, a note and measures hang on it. */
export function Guide({
  family,
  tray,
  ticks,
  photos,
}: {
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  readonly ticks: readonly GuideTick[];
  readonly photos: readonly Photo[];
}) {
  const { target } = useStation();
  const { save, saving, decide } = useSave(tellStepAction);
  const kinds = useSave(recordPartAction);
  const { send, sending } = usePhotos(target.unitId, 'out');
  const [known, expect] = useOptimistic<readonly Entry[], Entry>(
    ticks.map((t) => ({ ...t, outcome: 'done' })),
    (all, entry) => [...all.filter((t) => t.stepId !== entry.stepId), entry],
  );
  const steps = guideFor(family, tray, known);
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
          tell={tell}
          record={(partId, news) => void kinds.save({ partId, news })}
          onPhotos={(files) => void send(files, { kind: 'step', id: s.id }, s.photo ?? `step ${from + i + 1}`)}
        />
      ))}
    </ol>
  );
  return (
    <div>
      <SaveNote saving={saving} onDecide={decide} />
      <SaveNote saving={kinds.saving} onDecide={kinds.decide} />
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

/** The part of a step of which the family knows several kinds. */
const heldBy = (family: Family, tray: readonly TrayPart[], step: GuideStep): Held | undefined => {
  const slot = family.slots.find((s) => s.oneOf !== undefined && step.slots.includes(s.id));
  const part = tray.find((p) => p.slotId === slot?.id);
  return slot?.oneOf === undefined || part === undefined ? undefined : { part, kinds: slot.oneOf };
};
