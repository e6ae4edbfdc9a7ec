'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { leaveRigQueueAction, queueForRigAction, startRunAction } from '@/app/actions/prove';
import type { LiveRun } from '@/core/prove/live-run';
import { isOver } from '@/core/prove/live-run';
import type { RunStep } from '@/core/prove/programme/step';
import { tagOf } from '@/core/unit/unit-record';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from '../unit/station-context';
import { pageName } from './use-live-run';

/** A unit that waits for the rig. */
export type Waiting = { readonly unitId: string; readonly tagNo: number; readonly by: string };

export const ShieldBox = ({ shut, onSay }: { readonly shut: boolean; readonly onSay: (shut: boolean) => void }) => (
  <label className="flex min-h-[44px] items-center gap-2">
    <input type="checkbox" className="size-5 accent-act" checked={shut} onChange={(e) => onSay(e.target.checked)} />
    The shield is shut
  </label>
);

/** Starts a step on the rig, or queues for it. Pressure never starts by itself: whoever starts it has shut the shield. */
export function RigStart({
  step,
  live,
  queue,
}: {
  readonly step: RunStep;
  readonly live: LiveRun | undefined;
  readonly queue: readonly Waiting[];
}) {
  const { target } = useStation();
  const { save, saving, decide } = useSave(startRunAction);
  const router = useRouter();
  const [shield, setShield] = useState(false);
  const busyWith = live !== undefined && !isOver(live.state) ? live.tag : undefined;
  const place = queue.findIndex((q) => q.unitId === target.unitId);
  const first = queue[0];
  const after = first !== undefined && place !== 0 ? first : undefined;
  return (
    <>
      <form
        className="flex flex-wrap items-center gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          // The step stays in view when it has passed and another's turn has come.
          router.replace(`?step=${step.id}`);
          void save({ stepId: step.id, shield, holder: pageName() });
        }}
      >
        <ShieldBox shut={shield} onSay={setShield} />
        <button
          type="submit"
          className="btn"
          disabled={!shield || saving.kind === 'saving' || busyWith !== undefined || after !== undefined}
        >
          {step.kind === 'cycles' ? 'Stroke, pressurise and hold' : step.kind === 'hold' ? 'Pressurise and hold' : 'Pressurise and let go'}
        </button>
        {place === -1 && (busyWith !== undefined || after !== undefined) && (
          <button type="button" className="btn-quiet" onClick={() => void queueForRigAction({ unitId: target.unitId })}>
            Queue for the rig
          </button>
        )}
        {place !== -1 && (
          <button type="button" className="btn-quiet" onClick={() => void leaveRigQueueAction({ unitId: target.unitId })}>
            Leave the queue
          </button>
        )}
        <p className="text-ink2" role="status">
          {busyWith !== undefined ? `The rig is busy with ${busyWith}. ` : ''}
          {place > 0 || (place === -1 && after !== undefined)
            ? `${tagOf(after ?? (first as Waiting))} waits for it before this one (${(after ?? first)?.by}).`
            : place === 0
              ? 'This unit is next at the rig.'
              : ''}
        </p>
      </form>
      <SaveNote saving={saving} onDecide={decide} />
    </>
  );
}
