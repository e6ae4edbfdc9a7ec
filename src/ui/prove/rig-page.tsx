'use client';

import { isOver, RUN_STATES } from '@/core/prove/live-run';
import { sayStep } from '@/core/prove/programme/say-step';
import type { QueuedUnit } from '@/core/prove/prove-doors';
import { pressureIn } from '@/core/quantity/say';
import { sayWhen } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';
import type { Nothing } from '@/core/schema/sends';
import { tagOf } from '@/core/unit/unit-record';
import type { Ask } from '../save/use-ask';
import { Go } from '../shell/go';
import { LineLost } from './running';
import { Trace } from './trace';
import { useLiveRun } from './use-live-run';

/** The rig from anywhere in the shop: what it is doing, for which unit, who waits for it, and a button to let the pressure down. */
export function RigPage({
  address,
  units,
  queue,
  mayQueue,
  abort,
  leave,
}: {
  readonly address: string;
  readonly units: Units;
  readonly queue: readonly { readonly unitId: string; readonly tagNo: number; readonly by: string; readonly at: number }[];
  readonly mayQueue: boolean;
  readonly abort: Ask<Nothing>;
  readonly leave: Ask<QueuedUnit>;
}) {
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
                {pressureIn(run.samples.at(-1)?.p ?? 0, units).toFixed(units.pressure === 'bar' ? 2 : 0)}{' '}
                <span className="text-2xl">{units.pressure}</span>
              </p>
              {!isOver(run.state) && (
                <button type="button" className="btn-stop ml-auto min-h-14" onClick={() => void abort({})}>
                  Let the pressure down
                </button>
              )}
            </div>
            <Trace samples={run.samples} analysis={run.analysis} step={run.step} units={units} />
            {run.analysis !== null && <p className="mt-3">{run.analysis.sentence}</p>}
            {run.because !== '' && <p className="mt-3 border-l-4 border-red pl-3 text-red">It does not count: {run.because}.</p>}
          </>
        )}
      </section>
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
                <button type="button" className="btn-quiet ml-auto" onClick={() => void leave({ unitId: q.unitId })}>
                  Take it off
                </button>
              )}
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}
