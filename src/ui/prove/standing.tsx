'use client';

import { useState } from 'react';
import { startStandingAction } from '@/app/actions/prove';
import type { BenchOf } from '@/core/bench/bench-record';
import type { StandingStep } from '@/core/prove/programme/standing';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { sayWait } from '@/core/quantity/say-wait';
import type { Photo } from '@/core/unit/photo';
import { NumberField } from '../field/quantity-field';
import { CameraButton } from '../photo/camera-button';
import { SendingNote } from '../photo/sending-note';
import { Thumbs } from '../photo/thumbs';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useNow } from '../shell/use-now';
import { useStation } from '../unit/station-context';
import { SeenForm } from './seen-form';

/** A unit left standing, between two photos: how it was set, its time, how it was found. */
export function Standing({
  step,
  standing,
  photos,
}: {
  readonly step: StandingStep;
  readonly standing: BenchOf<'standing'> | undefined;
  /** Photos of this step since it was closed up. */
  readonly photos: readonly Photo[];
}) {
  const { target } = useStation();
  const { save, saving, decide } = useSave(startStandingAction, 'adds');
  const [startMm, setStartMm] = useState<number | null>(null);
  const now = useNow(standing !== undefined);
  const before = photos.filter((p) => p.phase === 'out');
  const after = photos.filter((p) => p.phase === 'in' && (standing === undefined || p.at >= standing.at));
  return (
    <div className="grid gap-4">
      <div className="grid max-w-md grid-cols-2 gap-4">
        <Pictured
          title="As it was set"
          phase="out"
          photos={before.slice(-1)}
          step={step}
          unitId={target.unitId}
          open={standing === undefined}
        />
        <Pictured
          title="As it was found"
          phase="in"
          photos={after.slice(-1)}
          step={step}
          unitId={target.unitId}
          open={standing !== undefined}
        />
      </div>
      {standing === undefined ? (
        <div className="flex flex-wrap items-end gap-3">
          {step.kind === 'sink' && (
            <NumberField label="The rod stands at, mm" className="w-40" above={-1000} value={startMm} onSay={setStartMm} />
          )}
          <button
            type="button"
            className="btn"
            disabled={saving.kind === 'saving' || (step.kind === 'weep' ? before.length === 0 : startMm === null)}
            onClick={() => void save({ stepId: step.id, startMm })}
          >
            {step.kind === 'weep' ? `Leave it for ${step.hours} h` : `Start ${step.holdS} s`}
          </button>
          {step.kind === 'weep' && before.length === 0 && <p className="text-ink2">First a photo of the unit on its dry paper.</p>}
        </div>
      ) : (
        <>
          <p className="text-amber" title={sayFullDate(standing.endsAt)}>
            {now === undefined
              ? ''
              : standing.endsAt > now
                ? `It stands: ${sayWait(standing.endsAt, now)}, until ${sayWhen(standing.endsAt, now)}.`
                : `Its time was over ${sayWhen(standing.endsAt, now)}: look at it.`}
          </p>
          <SeenForm step={step} startMm={standing.startMm} />
        </>
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}

function Pictured({
  title,
  phase,
  photos,
  step,
  unitId,
  open,
}: {
  readonly title: string;
  readonly phase: Photo['phase'];
  readonly photos: readonly Photo[];
  readonly step: StandingStep;
  readonly unitId: string;
  readonly open: boolean;
}) {
  const { send, sending } = usePhotos(unitId, phase);
  return (
    <figure>
      <figcaption className="mb-1 flex min-h-[44px] items-center justify-between text-[13px] text-ink2">
        {title}
        {open && (
          <CameraButton label={`Photo: ${title.toLowerCase()}`} onPick={(files) => void send(files, { kind: 'proof', id: step.id })} />
        )}
      </figcaption>
      {photos.length === 0 ? (
        <p className="flex aspect-[4/3] items-center justify-center border border-dashed border-line text-[13px] text-ink2">no photo yet</p>
      ) : (
        <Thumbs photos={photos} className="aspect-[4/3] w-full border border-hair" />
      )}
      <SendingNote sending={sending} />
    </figure>
  );
}
