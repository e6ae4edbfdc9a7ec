import { normalCdf } from '../statistics/summary';

/** Flow and settling of one hold under one pair of shapes, both linear: y = −flow·leak − amplitude·settle, with 0 ≤ amplitude ≤ most. */
export type Pair = {
  /** Where the amplitude is free, whether or not it lies within its bounds. */
  readonly freeFlow: number;
  readonly freeAmplitude: number;
  /** Within the bounds. */
  readonly amplitude: number;
  readonly flow: number;
  readonly ssr: number;
  /** Variances for noise of variance 1: of the flow with the amplitude known, and of the amplitude. */
  readonly flowVariance: number;
  readonly amplitudeVariance: number;
  /** Change of the flow with the amplitude. */
  readonly slope: number;
};

/** A column with what of it is asked again and again: its own square, and its product with the readings. */
export type Column = { readonly values: readonly number[]; readonly own: number; readonly withY: number };
export const columnOf = (values: readonly number[], y: readonly number[]): Column => ({
  values,
  own: dot(values, values),
  withY: dot(values, y),
});

/**
 * Least squares with one bounded amplitude.
 * @param yy square of the readings; these and the columns have their level taken out
 * @param settle undefined: nothing settles
 */
export const fitPair = (yy: number, leak: Column, settle: Column | undefined, most: number): Pair => {
  const flowAlone = -leak.withY / leak.own;
  const ssrAlone = Math.max(0, yy - leak.withY ** 2 / leak.own);
  const still = {
    freeFlow: flowAlone,
    freeAmplitude: 0,
    amplitude: 0,
    flow: flowAlone,
    ssr: ssrAlone,
    flowVariance: 1 / leak.own,
    amplitudeVariance: 0,
    slope: 0,
  };
  if (settle === undefined) return still;
  const together = dot(leak.values, settle.values);
  const slope = -together / leak.own;
  const stiff = settle.own - together ** 2 / leak.own;
  // Settling that runs as the leak does cannot be told from it: every amplitude is as likely.
  if (!(stiff > 1e-12 * settle.own))
    return { ...still, freeAmplitude: most / 2, freeFlow: flowAlone + (slope * most) / 2, amplitudeVariance: Infinity, slope };
  const freeAmplitude = -(settle.withY + slope * leak.withY) / stiff;
  const amplitude = Math.min(most, Math.max(0, freeAmplitude));
  return {
    freeFlow: flowAlone + slope * freeAmplitude,
    freeAmplitude,
    amplitude,
    flow: flowAlone + slope * amplitude,
    ssr: Math.max(0, ssrAlone - stiff * freeAmplitude ** 2) + stiff * (amplitude - freeAmplitude) ** 2,
    flowVariance: 1 / leak.own,
    amplitudeVariance: 1 / stiff,
    slope,
  };
};

export type Spread = { readonly flow: number; readonly flowVariance: number; readonly amplitude: number };

/** Mean and variance of flow and amplitude, where any amplitude within the bounds is as likely before the readings speak. @param noise variance of a reading */
export const withinBounds = (f: Pair, noise: number, most: number): Spread => {
  const own = noise * f.flowVariance;
  if (f.amplitudeVariance === 0) return { flow: f.flow, flowVariance: own, amplitude: 0 };
  // Wider than this is flat between the bounds.
  const sigma = Math.min(Math.sqrt(noise * f.amplitudeVariance), 100 * most);
  const { mean, variance } = truncatedNormal(f.freeAmplitude, sigma, most);
  return { flow: f.freeFlow + f.slope * (mean - f.freeAmplitude), flowVariance: own + f.slope ** 2 * variance, amplitude: mean };
};

/** A normal law cut to 0 … most. @source Johnson, Kotz & Balakrishnan, Continuous Univariate Distributions, 13.10 */
const truncatedNormal = (at: number, sigma: number, most: number): { readonly mean: number; readonly variance: number } => {
  const [a, b] = [-at / sigma, (most - at) / sigma];
  const mass = normalCdf(b) - normalCdf(a);
  if (!(mass > 1e-10)) return { mean: Math.min(most, Math.max(0, at)), variance: 0 };
  const density = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  const tail = (density(a) - density(b)) / mass;
  const bend = (a * density(a) - b * density(b)) / mass;
  return { mean: at + sigma * tail, variance: Math.max(0, sigma ** 2 * (1 + bend - tail ** 2)) };
};

export const dot = (a: readonly number[], b: readonly number[]): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number);
  return sum;
};

/** Lag-1 autocorrelation of residuals, corrected for its bias, within 0 … 0.95. */
export const lagOne = (e: readonly number[]): number => {
  const power = dot(e, e);
  if (!(power > 0)) return 0;
  const raw = e.slice(1).reduce((sum, v, i) => sum + v * (e[i] as number), 0) / power;
  return Math.min(0.95, Math.max(0, raw + (4 * (1 + raw)) / e.length));
};
