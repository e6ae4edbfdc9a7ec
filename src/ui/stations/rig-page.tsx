'use client';

import { pressureIn } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { Trace } from '../drawing/trace';
import { Go } from '../shell/go';
import { useLiveRun } from './use-live-run';

/** The rig from anywhere in the shop: what it is doing, for which unit, and a button to let the pressure down. */
export function RigPage({
  address,
  units,
  abort,
}: {
  readonly address: string;
  readonly units: Units;
  readonly abort: (input: unknown) => Promise<unknown>;
}) {
  const run = useLiveRun();
  const running = run !== undefined && !['finished', 'aborted', 'broken'].includes(run.state);
  return (
    <div className="max-w-5xl px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Rig</h1>
      <p className="mb-3 text-ink2">
        At {address}.{' '}
        {run === undefined ? (
          'Nothing has been held since the server started. A hold is started at a unit’s Prove station.'
        ) : (
          <>
            {run.rig}, {run.state.replace('-', ' ')}, unit{' '}
            <Go href={`/units/${run.tag}/prove`} className="font-bold text-act underline">
              {run.tag}
            </Go>
            .
          </>
        )}
      </p>
      {run !== undefined && (
        <>
          <div className="mb-3 flex items-center gap-6">
            <p className="text-[56px] leading-none font-bold">
              {pressureIn(run.samples.at(-1)?.p ?? 0, units).toFixed(units.pressure === 'bar' ? 2 : 0)}{' '}
              <span className="text-2xl">{units.pressure}</span>
            </p>
            {running && (
              <button type="button" className="btn-stop ml-auto min-h-14" onClick={() => void abort({})}>
                Let the pressure down
              </button>
            )}
          </div>
          <Trace samples={run.samples} analysis={run.analysis} holdS={run.holdS} units={units} />
          {run.analysis !== null && <p className="mt-3">{run.analysis.sentence}</p>}
        </>
      )}
    </div>
  );
}
