import { type Elastic, mlPerBarAt } from './volume';

/** How rubber and lines may settle: not at all, by one exponential, stretched, or by the logarithm of time. Each is a share of its own scale at u = t/τ. */
export const SETTLING = {
  none: () => 0,
  exponential: (u: number) => -Math.expm1(-u),
  stretched: (u: number) => -Math.expm1(-Math.sqrt(u)),
  double: (u: number) => -(Math.expm1(-u) + Math.expm1(-u / 5)) / 2,
  logarithmic: (u: number) => Math.log1p(u),
} as const;
export type Settling = keyof typeof SETTLING;
export const SETTLING_NAMES = Object.keys(SETTLING) as [Settling, ...Settling[]];

/** How a leak may follow pressure: not at all, as an orifice, as a thin slot; or steadily from some time on. The power of the pressure that goes with it. */
export const LEAK_LAWS = { steady: 0, orifice: 0.5, slot: 1, late: 0 } as const;
export type LeakLaw = keyof typeof LEAK_LAWS;
export const LEAK_LAW_NAMES = Object.keys(LEAK_LAWS) as [LeakLaw, ...LeakLaw[]];

/** One sample of a held pressure; time in s, pressure in bar. */
type Point = { readonly tS: number; readonly pBar: number };

/** A leak's law with the time that it begins, s from the start of the hold; 0 for all but `late`. */
export type Leak = { readonly law: LeakLaw; readonly onsetS: number };

/**
 * Seconds that a leak has run by each sample, as if all at the mean pressure of the hold; the last is the length of the hold.
 * @source Bernoulli (orifice), Poiseuille (slot): the integral of (p/p̄)ⁿ over time
 */
export const leakClock = (trace: readonly Point[], { law, onsetS }: Leak): readonly number[] => {
  const start = trace[0]?.tS ?? 0;
  const spanS = (trace.at(-1)?.tS ?? 0) - start;
  const power = LEAK_LAWS[law];
  let run = 0;
  const raw = trace.map((s, i) => {
    const before = trace[i - 1];
    if (law === 'late') return Math.max(0, s.tS - start - onsetS);
    if (before !== undefined) run += ((Math.max(0, before.pBar) ** power + Math.max(0, s.pBar) ** power) / 2) * (s.tS - before.tS);
    return run;
  });
  const end = raw.at(-1) ?? 0;
  return end > 0 ? raw.map((v) => (v * spanS) / end) : raw;
};

/** A fit as it is kept with a run: settling by `aBar`·shape(t/τ), the leak as a fall of pressure at the mean pressure of the hold. */
export type KeptFit = Leak & {
  readonly p0Bar: number;
  readonly settling: Settling;
  readonly aBar: number;
  readonly tauS: number | null;
  readonly rBarPerS: number;
  readonly atBar: number;
};

/** Pressures of a fit at the samples of its hold; with another rate of leak, how that would have gone. */
export const fitCurve = (trace: readonly Point[], fit: KeptFit, rBarPerS = fit.rBarPerS): readonly number[] => {
  const start = trace[0]?.tS ?? 0;
  const clock = leakClock(trace, fit);
  const settled = (tS: number): number => (fit.tauS === null ? 0 : fit.aBar * SETTLING[fit.settling]((tS - start) / fit.tauS));
  return trace.map((s, i) => fit.p0Bar - settled(s.tS) - rBarPerS * (clock[i] as number));
};

/** How the hold would have gone had it lost the limit: its settling and its air counted as the fit counts them. */
export const limitCurve = (trace: readonly Point[], fit: KeptFit, elastic: Elastic, limitMlPerMin: number): readonly number[] =>
  fitCurve(trace, fit, limitMlPerMin / 60 / mlPerBarAt(elastic, fit.atBar));
