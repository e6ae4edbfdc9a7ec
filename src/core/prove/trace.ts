import type { RunStep } from './programme/step';
import type { RigSample } from './rig-sample';

/** One sample of a held pressure; time in s, pressure in bar. */
export type TracePoint = { readonly tS: number; readonly pBar: number };
/** One sample while pressurising: fluid pushed in, ml, and the pressure it made, bar. */
export type FillPoint = { readonly mlIn: number; readonly pBar: number };

export const fillOf = (samples: readonly RigSample[]): readonly FillPoint[] =>
  samples.filter((s) => s.phase === 'fill').map((s) => ({ mlIn: s.ml, pBar: Math.max(0, s.p) }));
export const holdOf = (samples: readonly RigSample[]): readonly TracePoint[] =>
  samples.filter((s) => s.phase === 'hold').map((s) => ({ tS: s.t, pBar: s.p }));

/** What of a run its picture shows: the phase that tells, from when, and over how long, s. */
export type TraceWindow = {
  readonly of: 'cycle' | 'fill' | 'hold' | 'gone';
  readonly shown: readonly RigSample[];
  readonly fromT: number;
  readonly spanS: number;
};

/** Samples of a hold before it is worth a picture of its own. */
const FEW = 5;
const STAND_S = 2;

/** The part of a run that tells: the hold once it has begun, what became of the pressure once the rod was let go; the way there until then. */
export const traceWindow = (samples: readonly RigSample[], step: RunStep): TraceWindow => {
  const of = (phase: RigSample['phase']): readonly RigSample[] => samples.filter((s) => s.phase === phase);
  const [hold, gone] = [of('hold'), of('gone')];
  const first = (list: readonly RigSample[]): number => list[0]?.t ?? 0;
  if (gone.length > 0) {
    const shown = [...hold, ...gone];
    return { of: 'gone', shown, fromT: first(shown), spanS: Math.max((shown.at(-1)?.t ?? 0) - first(shown), STAND_S + 1) };
  }
  if (hold.length > FEW)
    return {
      of: 'hold',
      shown: hold,
      fromT: first(hold),
      spanS: 'holdS' in step ? Math.max(step.holdS, (hold.at(-1)?.t ?? 0) - first(hold)) : STAND_S,
    };
  const fill = of('fill');
  if (fill.length > 0 || step.kind !== 'cycles') return { of: 'fill', shown: fill, fromT: first(fill), spanS: step.rampS + 3 };
  const cycle = of('cycle').slice(-200);
  return { of: 'cycle', shown: cycle, fromT: first(cycle), spanS: 20 };
};
