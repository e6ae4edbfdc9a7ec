import type { RigSample } from './run-analysis';

/** One sample of a held pressure; time in s, pressure in bar. */
export type TracePoint = { readonly tS: number; readonly pBar: number };
/** One sample while pressurising: fluid pushed in, ml, and the pressure it made, bar. */
export type FillPoint = { readonly mlIn: number; readonly pBar: number };

export const fillOf = (samples: readonly RigSample[]): readonly FillPoint[] =>
  samples.filter((s) => s.phase === 'fill').map((s) => ({ mlIn: s.ml, pBar: Math.max(0, s.p) }));
export const holdOf = (samples: readonly RigSample[]): readonly TracePoint[] =>
  samples.filter((s) => s.phase === 'hold').map((s) => ({ tS: s.t, pBar: s.p }));
