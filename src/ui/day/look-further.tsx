'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { offerPlanAction } from '@/app/actions/day';
import { worthier } from '@/core/day/keep';
import type { Schedule } from '@/core/day/schedule';
import type { ScheduleRequest } from '@/core/day/schedule-schema';
import { useAsk } from '../save/use-ask';
import { useWorker } from '../shell/use-worker';
import type { Looked, LookInput } from './better.worker';

const openWorker = (): Worker => new Worker(new URL('./better.worker.ts', import.meta.url), { type: 'module' });
const LOOK_MS = 10_000;

/** Looks further for a better plan while the page is there, where something is late or without room. @param wanted does this page show the plan? @returns the plan to show, and what is being done */
export function useLookFurther(request: ScheduleRequest, schedule: Schedule, wanted: boolean) {
  const [stopped, setStopped] = useState<ScheduleRequest>();
  const toGain = wanted && (schedule.lateness > 0 || schedule.unplaced.length > 0);
  const input = useMemo((): LookInput => (toGain && stopped !== request ? { request, forMs: LOOK_MS } : null), [request, toGain, stopped]);
  const looked = useWorker<LookInput, Looked>(openWorker, input);
  const { ask } = useAsk();
  const offered = useRef<Schedule>(undefined);
  const better =
    looked?.schedule !== undefined && fits(looked.schedule, request) && worthier(schedule, looked.schedule) === looked.schedule
      ? looked.schedule
      : undefined;
  useEffect(() => {
    if (better === undefined || looked?.over !== 'over' || offered.current === better) return;
    offered.current = better;
    // Everybody goes by the same plan: the server times it itself, and takes it where it is better.
    void ask(offerPlanAction, { ops: better.ops.map(({ unitId, opId, personId }) => ({ unitId, opId, personId })) });
  }, [better, looked?.over, ask]);
  return {
    schedule: better ?? schedule,
    looking: toGain && stopped !== request ? looked : undefined,
    toGain,
    stop: () => setStopped(request),
  };
}

/** An answer of the worker to an older plan is of other units. */
const fits = (found: Schedule, request: ScheduleRequest): boolean =>
  found.units.length === request.units.length && found.units.every((u, i) => u.unitId === request.units[i]?.id);

/** What the search is doing, and a stop. */
export function Looking({ looking, stop }: { readonly looking: Looked | undefined; readonly stop: () => void }) {
  if (looking === undefined || looking.over === 'over') return null;
  return (
    <span role="status" className="inline-flex items-center gap-2 text-ink2">
      looking for a better plan, {looking.tries} tries, {Math.round(looking.ms / 1000)} s
      <button type="button" className="min-h-9 font-bold text-act" onClick={stop}>
        Stop
      </button>
    </span>
  );
}
