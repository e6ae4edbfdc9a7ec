'use client';

import { sayStep } from '@/core/prove/programme/say-step';
import type { RunStep } from '@/core/prove/programme/step';
import { type PastRun, rigHealth } from '@/core/prove/rig-health';
import { RUN_OUTCOME_WORDS } from '@/core/prove/run';
import { fixed, rewritten } from '@/core/quantity/figure';
import { pressureIn } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { tagOf } from '@/core/unit/unit-record';
import { Go } from '../shell/go';
import { useUnits } from '../shell/units-context';

export type RigPastRun = PastRun & {
  readonly id: string;
  readonly tagNo: number;
  readonly step: RunStep;
  readonly outcome: 'pass' | 'fail' | 'hold-longer' | null;
  readonly sentence: string;
};

/** Runs that are listed. */
const LISTED = 8;

/** How the rig is, by its own runs. */
export function RigHealth({ past }: { readonly past: readonly RigPastRun[] }) {
  const units = useUnits();
  const health = rigHealth(past, (bar) => `${fixed(pressureIn(bar, units), units.pressure === 'bar' ? 3 : 1)} ${units.pressure}`);
  return (
    <section aria-label="How it is">
      <h2 className="head mb-2">HOW IT IS</h2>
      {health.length === 0 && (
        <p className="text-ink2">It has not run yet: its runs will tell how steady its gauge is and what stopped them.</p>
      )}
      {health.map((l) => (
        <p key={l.text} className={l.look === 'amber' ? 'border-l-4 border-amber pl-3' : ''}>
          {l.text}
        </p>
      ))}
    </section>
  );
}

/** What the rig did last. */
export function LastRuns({ past }: { readonly past: readonly RigPastRun[] }) {
  const units = useUnits();
  if (past.length === 0) return null;
  return (
    <section aria-label="Last runs" className="mt-6">
      <h2 className="head mb-2">LAST RUNS</h2>
      <ol>
        {past.slice(0, LISTED).map((r) => (
          <li key={r.id} className="border-b border-hair py-1.5">
            <p className="flex flex-wrap items-baseline gap-x-3">
              <Go href={`/units/${tagOf(r)}/prove`} className="inline-flex min-h-9 items-center font-bold text-act">
                {tagOf(r)}
              </Go>
              <span>{sayStep(r.step, units)}</span>
              <b className={r.outcome === 'fail' || r.state === 'broken' ? 'text-red' : ''}>
                {r.outcome === null ? (r.state === 'finished' ? 'seen' : 'does not count') : RUN_OUTCOME_WORDS[r.outcome]}
              </b>
              <span className="ml-auto text-[13px] text-ink2" title={sayFullDate(r.at)}>
                {sayWhen(r.at, Date.now())}
              </span>
            </p>
            {(r.because || r.sentence) !== '' && <p className="text-[13px] text-ink2">{rewritten(r.because || r.sentence)}</p>}
          </li>
        ))}
      </ol>
    </section>
  );
}
