import { median } from '../statistics/summary';
import type { TracePoint } from './trace';

/** Neighbours on either side that a sample is held against, and how far it may stand out from them, in spreads of all samples from theirs. */
const [NEIGHBOURS, SPREADS] = [3, 8];

/** Samples that stand out alone: a knock, a contact, never the pressure of a held fluid. @returns the rest, and how many were left out */
export const withoutSpikes = (trace: readonly TracePoint[]): { readonly trace: readonly TracePoint[]; readonly spikes: number } => {
  const spanS = (i: number): number => (trace[i + NEIGHBOURS]?.tS ?? Number.NaN) - (trace[i - NEIGHBOURS]?.tS ?? Number.NaN);
  const usualS = median(trace.map((_, i) => spanS(i)).filter((s) => s > 0));
  const off = trace.map((s, i) => {
    // With neighbours on one side only, or beyond a gap, settling itself would stand out.
    if (!(spanS(i) <= 2 * usualS)) return 0;
    const around = [...trace.slice(i - NEIGHBOURS, i), ...trace.slice(i + 1, i + 1 + NEIGHBOURS)];
    return Math.abs(s.pBar - median(around.map((a) => a.pBar)));
  });
  const usual = median(off);
  const kept = trace.filter((_, i) => !(usual > 0 && (off[i] as number) > SPREADS * usual));
  return { trace: kept, spikes: trace.length - kept.length };
};
