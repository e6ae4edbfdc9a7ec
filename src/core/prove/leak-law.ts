import { type FittedTrace, fitSettling } from './settling-fit';
import type { TracePoint } from './trace';

/** How a leak follows pressure: not at all, as an orifice, or as a thin slot; and the power of the pressure that goes with it. */
export const LEAK_LAWS = { steady: 0, orifice: 0.5, slot: 1 } as const;
export type LeakLaw = keyof typeof LEAK_LAWS;
export const LEAK_LAW_NAMES = Object.keys(LEAK_LAWS) as [LeakLaw, ...LeakLaw[]];

export type LawFit = {
  /** The law that explains the hold best, and its fit. */
  readonly law: LeakLaw;
  readonly best: FittedTrace;
  /** Pressure that the rate is stated at: the mean of the hold, bar. */
  readonly atBar: number;
  /** Fall of pressure by the leak there, over all laws as likely as they are, with its standard error, bar/s. */
  readonly rBarPerS: number;
  readonly rSe: number;
};

/**
 * The settling fit under each law that a leak may follow. A leak that falls with the pressure bends the trace as settling does:
 * taken for steady, part of it would be called settling, and the rate be wrong by more than its error.
 * Each law counts as much as its likelihood beside the others; where they differ, the error is as much wider.
 * @param trace hold phase, time rising, pressures above 0
 * @source Bernoulli (orifice) and Poiseuille (slot); Hoeting et al., Bayesian Model Averaging, 1999. The leak's own clock is the integral of (p/p̄)ⁿ over time
 */
export const fitLeak = (trace: readonly TracePoint[]): LawFit => {
  const atBar = trace.reduce((sum, s) => sum + s.pBar, 0) / trace.length;
  const fits = LEAK_LAW_NAMES.map((law) => ({
    law,
    ...fitSettling(trace, leakClock(trace, { law, atBar })),
  }));
  const best = fits.reduce((a, b) => (b.rmsBar < a.rmsBar ? b : a));
  const rho = best.fit.rho;
  // Samples that lean on each other tell as much as fewer would.
  const telling = (trace.length * (1 - rho)) / (1 + rho);
  const weights = fits.map((f) => (best.rmsBar > 0 ? Math.exp((-telling * ((f.rmsBar / best.rmsBar) ** 2 - 1)) / 2) : f === best ? 1 : 0));
  const all = weights.reduce((a, b) => a + b, 0);
  const mean = (of: (f: FittedTrace) => number): number => fits.reduce((sum, f, i) => sum + ((weights[i] ?? 0) / all) * of(f), 0);
  const rBarPerS = mean((f) => f.fit.rBarPerS);
  return { law: best.law, best, atBar, rBarPerS, rSe: Math.sqrt(mean((f) => f.fit.rSe ** 2 + (f.fit.rBarPerS - rBarPerS) ** 2)) };
};

/** The leak at a pressure, as a share of that at the mean of the hold. */
export const leakRate = ({ law, atBar }: Pick<LawFit, 'law' | 'atBar'>, pBar: number): number =>
  (Math.max(0, pBar) / atBar) ** LEAK_LAWS[law];

/** A fit as it is kept with a run. */
export type KeptFit = Pick<LawFit, 'law' | 'atBar'> & {
  readonly p0Bar: number;
  readonly aBar: number;
  readonly tauS: number | null;
  readonly rBarPerS: number;
};

/** Pressures of a fit at the samples of its hold; with another rate of leak, how that would have gone. */
export const fitCurve = (trace: readonly TracePoint[], fit: KeptFit, rBarPerS = fit.rBarPerS): readonly number[] => {
  const start = trace[0]?.tS ?? 0;
  const clock = leakClock(trace, fit);
  return trace.map(
    (s, i) => fit.p0Bar + (fit.tauS === null ? 0 : fit.aBar * Math.expm1(-(s.tS - start) / fit.tauS)) - rBarPerS * (clock[i] as number),
  );
};

/** Seconds that the leak has run by each sample, as if all at the mean pressure. */
const leakClock = (trace: readonly TracePoint[], by: Pick<LawFit, 'law' | 'atBar'>): readonly number[] => {
  let run = 0;
  return trace.map((s, i) => {
    const before = trace[i - 1];
    if (before !== undefined) run += ((leakRate(by, before.pBar) + leakRate(by, s.pBar)) / 2) * (s.tS - before.tS);
    return run;
  });
};
