import { z } from 'zod';
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
  const from = `Let go at ${fromBar.toFixed(1)} bar,`;
  const sentence = soon
    ? `${from} the pressure was gone in ${goneInS.toFixed(1)} s: the port is open.`
    : goneInS === null
      ? `${from} ${(gone.at(-1)?.p ?? fromBar).toFixed(1)} bar stayed: the port is shut.`
      : `${from} the pressure took ${goneInS.toFixed(1)} s to go, at most ${step.withinS} s: the port is tight.`;
  return { kind: 'port', outcome: soon ? 'pass' : 'fail', fromBar, goneInS, withinS: step.withinS, sentence };
};

/** A rig's samples come a tenth of a second apart: no time is known better than that. */
const SAMPLE_S = 0.05;

/** What a residual valve keeps at the end of its watch: the middle of the last tenth of the samples. */
export const residualAnalysis = (
  samples: readonly RigSample[],
  step: Pick<StepOf<'residual'>, 'keepsMinBar' | 'keepsMaxBar' | 'holdS'>,
): ResidualAnalysis | undefined => {
  const watched = letGo(samples);
  if (watched === undefined) return undefined;
  const last = watched.gone.slice(-Math.max(1, Math.ceil(watched.gone.length / 10)));
  const keptBar = median(last.map((s) => s.p));
  const { keepsMinBar, keepsMaxBar } = step;
  const kept = `The residual valve keeps ${keptBar.toFixed(2)} bar ${step.holdS} s after it was let go`;
  const stands =
    keptBar < keepsMinBar
      ? `, at least ${keepsMinBar}: it loses its pressure.`
      : keptBar > keepsMaxBar
        ? `, at most ${keepsMaxBar}: the brakes would drag.`
        : ': it is in order.';
  const outcome = keptBar >= keepsMinBar && keptBar <= keepsMaxBar ? 'pass' : 'fail';
  return { kind: 'residual', outcome, fromBar: watched.fromBar, keptBar, keepsMinBar, keepsMaxBar, sentence: kept + stands };
};

const letGo = (
  samples: readonly RigSample[],
): { readonly fromBar: number; readonly at: number; readonly gone: readonly RigSample[] } | undefined => {
  const gone = samples.filter((s) => s.phase === 'gone');
  const before = samples.findLast((s) => s.phase === 'hold' || s.phase === 'fill');
  return gone.length === 0 || before === undefined ? undefined : { fromBar: before.p, at: before.t, gone };
};
