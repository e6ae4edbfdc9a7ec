/** Lanczos, g = 7, nine terms. @source C. Lanczos 1964; coefficients of P. Godfrey */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
  -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
] as const;
/** ln Γ(x) for x > 0. */
export const logGamma = (x: number): number => {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const t = x + 6.5;
  const sum = LANCZOS.reduce((s, c, i) => (i === 0 ? c : s + c / (x - 1 + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum);
};

const MOST_TERMS = 100_000;

/**
 * Upper tail of the χ² distribution: the chance of as much as `x` or more. x from 0 up, df a whole number above 0.
 * @source series of DLMF 8.11.4 below the mean, else the continued fraction of DLMF 8.9.2 by the method of Lentz
 */
export const chiSquareTail = (x: number, df: number): number => {
  if (x <= 0) return 1;
  const [a, y] = [df / 2, x / 2];
  const front = Math.exp(a * Math.log(y) - y - logGamma(a));
  return y < a + 1 ? 1 - front * series(a, y) : front * tail(a, y);
};

const series = (a: number, y: number): number => {
  let term = 1 / a;
  let sum = term;
  for (let n = 1; n < MOST_TERMS && term > sum * 1e-17; n++) {
    term *= y / (a + n);
    sum += term;
  }
  return sum;
};

const TINY = 1e-300;
const notNone = (v: number): number => (Math.abs(v) < TINY ? TINY : v);
const tail = (a: number, y: number): number => {
  let b = y + 1 - a;
  let c = 1 / TINY;
  let d = 1 / notNone(b);
  let value = d;
  for (let n = 1; n < MOST_TERMS; n++) {
    const over = -n * (n - a);
    b += 2;
    d = 1 / notNone(b + over * d);
    c = notNone(b + over / c);
    value *= c * d;
    if (Math.abs(c * d - 1) < 1e-16) break;
  }
  return value;
};
