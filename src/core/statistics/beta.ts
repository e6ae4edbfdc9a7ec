import { NOISE } from './compare';
import { logGamma } from './gamma';

/**
 * Regularised incomplete beta function I_x(a, b): the chance that a Beta(a, b) is at most x. a and b above 0, x from 0 to 1.
 * @source continued fraction of DLMF 8.17.22, by the method of Lentz
 */
export const betaCdf = (x: number, a: number, b: number): number => {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  // The fraction converges quickly below the mean only.
  if (x > (a + 1) / (a + b + 2)) return 1 - betaCdf(1 - x, b, a);
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) + logGamma(a + b) - logGamma(a) - logGamma(b)) / a;
  return front * fraction(x, a, b);
};

const TINY = 1e-300;
const MOST_TERMS = 100_000;
const fraction = (x: number, a: number, b: number): number => {
  let [c, d] = [1, 1 / notNone(1 - ((a + b) * x) / (a + 1))];
  let value = d;
  for (let m = 1; m < MOST_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / notNone(1 + even * d);
    c = notNone(1 + even / c);
    value *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / notNone(1 + odd * d);
    c = notNone(1 + odd / c);
    value *= d * c;
    if (Math.abs(d * c - 1) < 1e-16) break;
  }
  return value;
};
const notNone = (v: number): number => (Math.abs(v) < TINY ? TINY : v);

/** The value that a Beta(a, b) stays below with a chance p: halved until two neighbours are the same. */
export const betaQuantile = (p: number, a: number, b: number): number => {
  let [low, high] = [0, 1];
  while (high - low > NOISE * NOISE) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high) break;
    if (betaCdf(middle, a, b) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
};
