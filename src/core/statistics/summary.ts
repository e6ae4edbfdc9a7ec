/** Arithmetic mean; NaN for no values. */
export const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;

/** Largest minus smallest; 0 for one value. */
export const spread = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

/** Middle value, the mean of the two middle ones for an even count; NaN for no values. */
export const median = (values: readonly number[]): number => {
  const sorted = Float64Array.from(values).sort();
  const half = sorted.length / 2;
  return sorted.length % 2 === 1 ? (sorted[Math.floor(half)] as number) : ((sorted[half - 1] ?? NaN) + (sorted[half] ?? NaN)) / 2;
};

/**
 * Standard normal distribution function Φ(z), to 1e-15.
 * @source Series of erf for |z| < 3, continued fraction (Lentz) of erfc beyond; Abramowitz & Stegun 7.1.5 and 7.1.14.
 */
export const normalCdf = (z: number): number => {
  const x = Math.abs(z) / Math.SQRT2;
  const upper = x < 2.2 ? (1 - erfSeries(x)) / 2 : erfcFraction(x) / 2;
  return z < 0 ? upper : 1 - upper;
};

/** The value that a standard normal one stays below with a chance p, 0 < p < 1: halved until two neighbours are the same. */
export const normalQuantile = (p: number): number => {
  let [low, high] = [-40, 40];
  for (;;) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high) return middle;
    if (normalCdf(middle) < p) low = middle;
    else high = middle;
  }
};

const erfSeries = (x: number): number => {
  let term = x;
  let sum = x;
  for (let n = 1; Math.abs(term) > 1e-17 * Math.abs(sum) && n < 200; n++) {
    term *= (-x * x) / n;
    sum += term / (2 * n + 1);
  }
  return (2 / Math.sqrt(Math.PI)) * sum;
};

const erfcFraction = (x: number): number => {
  let tail = x;
  for (let n = 120; n >= 1; n--) tail = x + n / 2 / tail;
  return Math.exp(-x * x) / Math.sqrt(Math.PI) / tail;
};
