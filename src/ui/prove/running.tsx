'use client';

import { useHotkeys } from 'react-hotkeys-hook';
import { type LiveRun, RUN_STATES } from '@/core/prove/live-run';
import { fixed } from '@/core/quantity/figure';
import { pressureIn } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import type { LiveLine } from './use-live-run';

/** A run as it goes on: the pressure, large; how far it is; a button to let it down, and one to have it held longer when it asks. */
export function Running({
  run,
  line,
  abort,
  holdLonger,
}: {
  readonly run: LiveRun;
  readonly line: LiveLine['line'];
  readonly abort: () => void;
  readonly holdLonger: () => void;
}) {
  const units = useUnits();
  useHotkeys('escape', abort, { enableOnFormTags: true });
  const pressure = run.samples.at(-1)?.p;
  const temp = run.samples.at(-1)?.c;
  const held = run.samples.filter((s) => s.phase === 'hold');
  const heldS = held.length === 0 ? 0 : (held.at(-1)?.t ?? 0) - (held[0]?.t ?? 0);
  return (
    <div className="mb-3 flex flex-wrap items-center gap-6">
      {line === 'lost' && <LineLost />}
      <p className="text-[56px] leading-none font-bold" role="timer" aria-label="Pressure">
        {pressure === undefined ? '–' : fixed(pressureIn(pressure, units), units.pressure === 'bar' ? 2 : 0)}{' '}
        <span className="text-2xl">{units.pressure}</span>
      </p>
      <p className="text-ink2">
        {RUN_STATES[run.state]}
        {run.state === 'holding' && 'holdS' in run.step && run.step.kind !== 'residual' && (
          <>
            , <b className="text-ink">{Math.floor(heldS)} s</b> of {run.step.holdS}
          </>
        )}
        {temp == null ? null : <span className="block">{fixed(temp, 1)} °C</span>}
      </p>
      {run.state === 'asking' && (
        <button type="button" className="btn min-h-14" onClick={holdLonger}>
          Hold {Math.ceil((run.analysis?.kind === 'hold' ? run.analysis.needMoreS : null) ?? 60)} s longer
        </button>
      )}
      <button type="button" className="btn-stop ml-auto min-h-14" onClick={abort}>
        Let the pressure down <span className="font-normal">Esc</span>
      </button>
    </div>
  );
}

/** What is shown is old: whoever stands there looks at the rig itself. */
export const LineLost = () => (
  <p role="alert" className="w-full border-l-4 border-red bg-sheet px-3 py-2 text-red">
    No line to the server: these figures stand still. The rig lets its pressure down by itself; go by its own gauge, shield shut.
  </p>
);
