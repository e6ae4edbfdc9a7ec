'use client';

import type { ComponentProps } from 'react';
import { abortRunAction, leaveRigQueueAction } from '@/app/actions/prove';
import { isOver, RUN_STATES } from '@/core/prove/live-run';
import { sayStep } from '@/core/prove/programme/say-step';
import { fixed, rewritten } from '@/core/quantity/figure';
import { pressureIn } from '@/core/quantity/say';
import { sayWhen } from '@/core/quantity/say-time';
import { tagOf } from '@/core/unit/unit-record';
import { Go } from '../shell/go';
import { late } from '../shell/late';
import { useUnits } from '../shell/units-context';
import { LastRuns, RigHealth, type RigPastRun } from './rig-past';
import { LineLost } from './running';
import { Trace } from './trace';
import type { TraceChart as Chart } from './trace-chart';
import { useLiveRun } from './use-live-run';

const TraceChart = late<ComponentProps<typeof Chart>>(async () => (await import('./trace-chart')).TraceChart);

/** The rig from anywhere in the shop: what it is doing, for which unit, who waits for it, and a button to let the pressure down. */
export function RigPage({
  address,
  queue,
  past,
  mayQueue,
}: {
  readonly address: string;
  readonly queue: readonly { readonly unitId: string; readonly tagNo: number; readonly by: string; readonly at: number }[];
  /** Its newest runs that are over, the newest first. */
  readonly past: readonly RigPastRun[];
  readonly mayQueue: boolean;
}) {
  const units = useUnits();
  const { run, line } = useLiveRun();
  return (
    <div className="grid gap-6 px-4 py-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <section aria-label="The rig">
        <h1 className="mb-1 text-xl font-bold">Rig</h1>
        <p className="mb-3 text-ink2">
          At {address}.{' '}
          {run === undefined ? (
            'Nothing has been run since the server started. A run is started at a unit’s Prove station.'
          ) : (
            <>
              {run.rig}: {RUN_STATES[run.state]}, {sayStep(run.step, units)}, unit{' '}
              <Go href={`/units/${run.tag}/prove`} className="font-bold text-act underline">
                {run.tag}
              </Go>
              .
            </>
          )}
        </p>
        {run !== undefined && (
          <>
            {line === 'lost' && !isOver(run.state) && <LineLost />}
            <div className="mb-3 flex items-center gap-6">
              <p className="text-[56px] leading-none font-bold">
                {fixed(pressureIn(run.samples.at(-1)?.p ?? 0, units), units.pressure === 'bar' ? 2 : 0)}{' '}
                <span className="text-2xl">{units.pressure}</span>
              </p>
              {!isOver(run.state) && (
                <button type="button" className="btn-stop ml-auto min-h-14" onClick={() => void abortRunAction({})}>
                  Let the pressure down
                </button>
              )}
            </div>
            {isOver(run.state) ? (
              <TraceChart samples={run.samples} analysis={run.analysis} step={run.step} />
            ) : (
              <Trace samples={run.samples} analysis={run.analysis} step={run.step} />
            )}
            {run.analysis !== null && <p className="mt-3">{rewritten(run.analysis.sentence)}</p>}
            {run.because !== '' && <p className="mt-3 border-l-4 border-red pl-3 text-red">It does not count: {run.because}.</p>}
          </>
        )}
        <LastRuns past={past} />
      </section>
      <div className="grid content-start gap-6">
        <section aria-label="Queue">
          <h2 className="head mb-2">WAITING FOR THE RIG</h2>
          {queue.length === 0 && (
            <p className="text-ink2">Nobody. A unit queues at its Prove station while the rig is busy; its turn comes in this order.</p>
          )}
          <ol>
            {queue.map((q, i) => (
              <li key={q.unitId} className="flex min-h-[44px] items-center gap-3 border-b border-hair">
                <span className="text-ink2">{i + 1}</span>
                <Go href={`/units/${tagOf(q)}/prove`} className="font-bold text-act">
                  {tagOf(q)}
                </Go>
                <span className="text-ink2">
                  {q.by}, {sayWhen(q.at, Date.now())}
                </span>
                {mayQueue && (
                  <button type="button" className="btn-quiet ml-auto" onClick={() => void leaveRigQueueAction({ unitId: q.unitId })}>
                    Take it off
                  </button>
                )}
              </li>
            ))}
          </ol>
        </section>
        <RigHealth past={past} />
      </div>
    </div>
  );
}
