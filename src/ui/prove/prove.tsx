'use client';

import { TriangleAlert } from 'lucide-react';
import type { ComponentProps, ReactNode } from 'react';
import { abortRunAction, holdLongerAction } from '@/app/actions/prove';
import type { BenchOf } from '@/core/bench/bench-record';
import type { UnitKind } from '@/core/family/family-name';
import { isOver, type LiveRun, wasSeenDown } from '@/core/prove/live-run';
import type { BenchFill } from '@/core/prove/programme/fill-strokes';
import { cautionOf, sayDoing, sayStep } from '@/core/prove/programme/say-step';
import { isStanding } from '@/core/prove/programme/standing';
import { isRunStep, isSeenStep, type Programme } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import { RUN_OUTCOME_WORDS, RUN_STATE_WORDS, type Run } from '@/core/prove/run';
import type { RunAnalysis } from '@/core/prove/run-analysis';
import { RUN_WAYS } from '@/core/prove/run-way';
import { sayVolume } from '@/core/quantity/say';
import { sayWhen } from '@/core/quantity/say-time';
import type { Photo } from '@/core/unit/photo';
import type { StepStand } from '@/core/unit/proving';
import { Go } from '../shell/go';
import { late } from '../shell/late';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';
import { StationFrame } from '../unit/station-frame';
import { Failed } from './failed';
import { NextStep } from './next-step';
import type { Waiting } from './rig-start';
import { RunWays } from './run-ways';
import { Running } from './running';
import { Says } from './says';
import { SeenForm } from './seen-form';
import type { Standing } from './standing';
import { StepBand } from './step-band';
import { Trace } from './trace';
import type { TraceChart as Chart } from './trace-chart';
import { useLiveRun } from './use-live-run';

// Photos and their sending come with the steps that stand.
const TraceChart = late<ComponentProps<typeof Chart>>(async () => (await import('./trace-chart')).TraceChart);
const StandingLate = late<ComponentProps<typeof Standing>>(async () => (await import('./standing')).Standing);

/** The newest run of the step that is looked at, with its trace, and those before it. */
export type ShownRun = Pick<Run, 'id' | 'step' | 'because'> & {
  /** Of the unit as it is now, or as it was before it was opened again. */
  readonly of: 'now' | 'before';
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
  readonly earlier: readonly (readonly RigSample[])[];
};

/** Why what a run says is no verdict of the unit as it is now; undefined: it is. */
const noVerdict = (run: ShownRun | LiveRun): string | undefined =>
  run.because !== '' ? 'Until then:' : 'of' in run && run.of === 'before' ? 'Before it was opened again:' : undefined;

/** The step that is looked at, with what is known of it. */
export type LookedAt = {
  readonly here: StepStand | undefined;
  readonly shown: ShownRun | undefined;
  /** The bore that a rod moved in; null where none did. */
  readonly boreMm: number | null;
  readonly fill: BenchFill | undefined;
  readonly failed: Pick<ComponentProps<typeof Failed>, 'byWet' | 'wet'> | undefined;
  readonly standing: BenchOf<'standing'> | undefined;
  /** Photos of the step since the unit was closed up. */
  readonly photos: readonly Photo[];
};

/** A unit's programme, step by step: on the rig, by hand, or seen; what each run says; and where a failure leads. */
export function Prove({
  family,
  programme,
  stands,
  lookedAt: { here, shown, boreMm, fill, failed, standing, photos },
  next,
  runs,
  queue,
  ledger,
  children,
}: {
  readonly family: UnitKind;
  readonly programme: Pick<Programme, 'version'>;
  readonly stands: readonly StepStand[];
  readonly lookedAt: LookedAt;
  /** Another step whose turn it is. */
  readonly next: StepStand | undefined;
  readonly runs: readonly Run[];
  readonly queue: readonly Waiting[];
  readonly ledger: ReactNode;
  /** The sign-off. */
  readonly children: ReactNode;
}) {
  const units = useUnits();
  const { target, open } = useStation();
  const { run: live, line } = useLiveRun();
  const step = here?.step;
  const caution = step === undefined ? undefined : cautionOf(step, { name: family });
  const mine = live?.unitId === target.unitId ? live : undefined;
  const running = mine !== undefined && !isOver(mine.state) ? mine : undefined;
  const just = mine !== undefined && mine.step.id === step?.id && mine.runId !== shown?.id ? mine : undefined;
  const drawn = running ?? just ?? shown;
  const analysis = drawn?.analysis ?? null;
  return (
    <StationFrame
      title={`PROVE · ${programme.version === 0 ? 'the usual programme' : `programme, version ${programme.version}`}`}
      note={
        mine !== undefined && mine.rig !== '' ? (
          `${mine.rig}${mine.speed === 1 ? '' : `, ${mine.speed}× time`}`
        ) : (
          <Go className="font-bold text-act" href="/rules/programmes">
            Programmes
          </Go>
        )
      }
      ledger={ledger}
      aside={
        <section className="mb-4" aria-live="polite">
          <h2 className="head mb-2">{running === undefined ? 'WHAT IT SAYS' : 'WHAT THE TRACE SAYS SO FAR'}</h2>
          {drawn !== undefined && drawn.because !== '' && (
            <div className="mb-2 grid gap-1 border-l-4 border-red pl-3 text-red">
              <p>This run does not count: {drawn.because}.</p>
              {running === undefined && !wasSeenDown(drawn.samples) && (
                <p className="font-bold">Nobody saw its pressure go: before anything is opened, go by the rig’s own gauge, shield shut.</p>
              )}
            </div>
          )}
          {analysis !== null ? (
            <Says analysis={analysis} instead={drawn === undefined ? undefined : noVerdict(drawn)} />
          ) : (
            <p className="text-ink2">
              {running !== undefined
                ? 'Ten seconds of hold say the first word.'
                : drawn === undefined
                  ? (here?.texts[0] ?? 'This step has not been done since it was closed up.')
                  : 'Too short to say anything.'}
            </p>
          )}
          {here !== undefined && analysis !== null && here.texts.length > 1 && <p className="mt-1">{here.texts.at(-1)}</p>}
          {here !== undefined && here.stands === 'fail' && running === undefined && failed !== undefined && (
            <Failed means={here.step.means} {...failed} />
          )}
          {next !== undefined && next.step.id !== step?.id && running === undefined && here?.stands === 'pass' && (
            <NextStep href={`?step=${next.step.id}`} name={sayStep(next.step, units)} />
          )}
          {running === undefined && <div className="mt-3">{children}</div>}
        </section>
      }
    >
      <StepBand stands={stands} chosen={running?.step.id ?? step?.id} />
      {running !== undefined ? (
        <Running run={running} line={line} abort={() => void abortRunAction({})} holdLonger={() => void holdLongerAction({})} />
      ) : (
        step !== undefined && (
          <section className="mb-3 border border-line bg-sheet p-3" aria-label="The step">
            <h3 className="text-lg font-bold">{sayStep(step, units)}</h3>
            <p>{sayDoing(step, units)}</p>
            <p className="mb-3 text-ink2">{step.why}</p>
            {open && caution !== undefined && (
              <p className="mb-3 flex items-center gap-2">
                <TriangleAlert size={18} className="shrink-0 text-red" aria-hidden /> {caution}
              </p>
            )}
            {step.kind === 'bench-fill' && fill !== undefined && (
              <p className="mb-3">
                About <b>{fill.strokes} full strokes</b>: {sayVolume(Math.round(fill.volumeMl))} in it and the lines,{' '}
                {sayVolume(Math.round(fill.strokeMl * 10) / 10)} a stroke, three times over.
              </p>
            )}
            {open && isRunStep(step) && (
              <RunWays
                key={step.id}
                step={step}
                live={live}
                queue={queue}
                boreMm={boreMm}
                moreS={shown?.of === 'now' && shown.analysis?.kind === 'hold' ? shown.analysis.needMoreS : null}
              />
            )}
            {open && isSeenStep(step) && (
              <div className={isRunStep(step) ? 'mt-3 border-t border-hair pt-3' : ''}>
                {isStanding(step) ? (
                  <StandingLate key={step.id} step={step} standing={standing} photos={photos} />
                ) : (
                  <SeenForm key={step.id} step={step} />
                )}
              </div>
            )}
          </section>
        )
      )}
      {running !== undefined && running.samples.length > 1 && <Trace samples={running.samples} analysis={analysis} step={running.step} />}
      {running === undefined && drawn !== undefined && drawn.samples.length > 1 && (
        <TraceChart samples={drawn.samples} analysis={analysis} step={drawn.step} earlier={'earlier' in drawn ? drawn.earlier : []} />
      )}
      <RunList runs={runs} />
    </StationFrame>
  );
}

/** Every run of the unit, the newest first, also those that do not count. */
function RunList({ runs }: { readonly runs: readonly Run[] }) {
  const units = useUnits();
  const { tag } = useStation();
  if (runs.length === 0) return null;
  return (
    <ol className="mt-3 text-[13px]" aria-label="Runs of this unit">
      {runs.toReversed().map((r) => (
        <li key={r.id} className="border-b border-hair py-1">
          {sayWhen(r.startedAt, Date.now())}: {sayStep(r.step, units)}, {RUN_WAYS[r.way]}: {RUN_STATE_WORDS[r.state]}
          {r.outcome === null || r.because !== '' ? '' : `, ${RUN_OUTCOME_WORDS[r.outcome]}`}
          <span className="text-ink2">{r.because === '' ? '' : ` (${r.because})`}</span>{' '}
          <a className="font-bold text-act" href={`/api/v1/units/${tag}/runs/${r.id}/trace.csv`} download>
            CSV
          </a>
        </li>
      ))}
    </ol>
  );
}
