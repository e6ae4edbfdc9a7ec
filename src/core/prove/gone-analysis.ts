import { z } from 'zod';
import { fixed } from '../quantity/figure';
import { median } from '../statistics/summary';
import type { StepOf } from './programme/step';
import type { RigSample } from './rig-sample';

/** Pressure that counts as gone where no valve keeps any, bar: what a gauge shows of a hose that hangs. */
const NOTHING_BAR = 0.5;

/** What happened once the rod was let go; `goneInS` null: the pressure stayed for as long as it was watched. */
export const PortAnalysis = z.object({
  kind: z.literal('port'),
  sentence: z.string(),
  outcome: z.enum(['pass', 'fail']),
  fromBar: z.number(),
  goneInS: z.number().nullable(),
  withinS: z.number(),
});
export type PortAnalysis = z.output<typeof PortAnalysis>;

export const ResidualAnalysis = z.object({
  kind: z.literal('residual'),
  sentence: z.string(),
  outcome: z.enum(['pass', 'fail']),
  fromBar: z.number(),
  /** What was left once it had settled, and at the end of the watch. */
  soonBar: z.number(),
  keptBar: z.number(),
  keepsMinBar: z.number(),
  keepsMaxBar: z.number(),
});
export type ResidualAnalysis = z.output<typeof ResidualAnalysis>;

/**
 * Is the compensating port open: how soon the pressure is gone once the rod is let go.
 * @param keptBar what a residual valve of the unit may keep; nothing without one
 * @returns undefined while it was not let go yet
 * @source design, issue “Prove and release”: gone within a second of release
 */
export const portAnalysis = (
  samples: readonly RigSample[],
  step: Pick<StepOf<'port'>, 'withinS'>,
  keptBar: number,
): PortAnalysis | undefined => {
  const watched = letGo(samples);
  if (watched === undefined) return undefined;
  const { fromBar, at, gone } = watched;
  const floor = Math.max(NOTHING_BAR, keptBar);
  const first = gone.find((s) => s.p <= floor);
  const goneInS = first === undefined ? null : first.t - at;
  const soon = goneInS !== null && goneInS <= step.withinS + SAMPLE_S;
  const from = `Let go at ${fixed(fromBar, 1)} bar,`;
  const sentence = soon
    ? `${from} the pressure was gone in ${fixed(goneInS, 1)} s: the port is open.`
    : goneInS === null
      ? `${from} ${fixed(gone.at(-1)?.p ?? fromBar, 1)} bar stayed: the port is shut.`
      : `${from} the pressure took ${fixed(goneInS, 1)} s to go, at most ${step.withinS} s: the port is tight.`;
  return { kind: 'port', outcome: soon ? 'pass' : 'fail', fromBar, goneInS, withinS: step.withinS, sentence };
};

/** A rig's samples come a tenth of a second apart: no time is known better than that. */
const SAMPLE_S = 0.05;

/** From here on a residual valve is shut, and what it keeps stands still: s after the rod was let go. */
export const SETTLED_S = 5;

/**
 * Does a residual valve keep its pressure: what is left soon after the rod was let go, at the end of the watch, and at that rate after another watch.
 * Pressure that takes its time to come down to the valve's own is kept by something else.
 * @returns undefined while it was not let go yet
 * @source design, issue “Prove and release”: holds its pressure
 */
export const residualAnalysis = (
  samples: readonly RigSample[],
  step: Pick<StepOf<'residual'>, 'keepsMinBar' | 'keepsMaxBar' | 'holdS'>,
): ResidualAnalysis | undefined => {
  const watched = letGo(samples);
  if (watched === undefined) return undefined;
  const { fromBar, at, gone } = watched;
  const endS = gone.at(-1)?.t ?? at;
  const settled = gone.find((s) => s.t - at >= SETTLED_S - SAMPLE_S)?.t ?? endS;
  const [soonBar, keptBar] = [pressureIn(gone, settled, settled + SECOND), pressureIn(gone, endS - SECOND, endS)];
  const { keepsMinBar, keepsMaxBar } = step;
  const fall = soonBar - keptBar;
  const [outcome, words] = ((): readonly ['pass' | 'fail', string] => {
    if (keptBar > keepsMaxBar) return ['fail', `, at most ${keepsMaxBar}: the brakes would drag.`];
    if (keptBar < keepsMinBar) return ['fail', `, at least ${keepsMinBar}: it loses its pressure.`];
    if (soonBar > keepsMaxBar) return ['fail', `, ${fixed(soonBar, 2)} bar after ${SETTLED_S} s: it falls slowly, as past a shut port.`];
    if (keptBar - fall < keepsMinBar) return ['fail', `, ${fixed(soonBar, 2)} bar after ${SETTLED_S} s: it is still falling.`];
    return ['pass', ': it is in order.'];
  })();
  const sentence = `The residual valve keeps ${fixed(keptBar, 2)} bar ${step.holdS} s after it was let go${words}`;
  return { kind: 'residual', outcome, fromBar, soonBar, keptBar, keepsMinBar, keepsMaxBar, sentence };
};

const SECOND = 1;

const pressureIn = (samples: readonly RigSample[], fromS: number, toS: number): number =>
  median(samples.filter((s) => s.t >= fromS && s.t <= toS).map((s) => s.p));

const letGo = (
  samples: readonly RigSample[],
): { readonly fromBar: number; readonly at: number; readonly gone: readonly RigSample[] } | undefined => {
  const gone = samples.filter((s) => s.phase === 'gone');
  const before = samples.findLast((s) => s.phase === 'hold' || s.phase === 'fill');
  return gone.length === 0 || before === undefined ? undefined : { fromBar: before.p, at: before.t, gone };
};
