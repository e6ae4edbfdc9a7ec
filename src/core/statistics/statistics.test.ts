import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { above, atMost, roundUpTo } from './compare';
import { chiSquareTail } from './gamma';
import { leastSquares } from './least-squares';
import { huberFit } from './robust';
import { mean, median, normalCdf, normalQuantile, spread } from './summary';

describe('comparing computed numbers', () => {
  test.each([
    ['22.26 − 22.24 is not more than 0.02, though floats say so', above(22.26 - 22.24, 0.02), false],
    ['a real difference is', above(0.021, 0.02), true],
    ['at most: a hair over is still at', atMost(0.1 + 0.2, 0.3), true],
    ['not a number is never at most', atMost(Number.NaN, 1), false],
    ['nor above', above(Number.NaN, 1), false],
  ])('%s', (_, have, want) => expect(have).toBe(want));

  test.each([
    [22.2801, 22.285],
    [22.28, 22.28],
    [22.2800000001, 22.28],
    [0, 0],
    [1.0000001, 1.005],
  ])('%d rounds up to the next 0.005: %d', (x, want) => expect(roundUpTo(x, 0.005)).toBeCloseTo(want, 12));

  property.prop([fc.double({ min: 0, max: 100, noNaN: true })])('rounding up never goes down, and never up by a step', (x) => {
    const up = roundUpTo(x, 0.005);
    expect(up).toBeGreaterThanOrEqual(x - 2e-9);
    expect(up).toBeLessThan(x + 0.005);
  });
});

describe('summaries', () => {
  test('of odd, even and no values', () => {
    expect([median([3, 1, 2]), median([4, 1, 3, 2]), mean([1, 2, 6]), spread([5]), spread([2, 9, 4])]).toEqual([2, 2.5, 3, 0, 7]);
    expect([median([]), mean([])]).toEqual([Number.NaN, Number.NaN]);
  });

  test.each([
    [0, 0.5],
    [1, 0.8413447460685429],
    [-1, 0.15865525393145707],
    [1.959963984540054, 0.975],
    [3.0902323061678132, 0.999],
    [-5, 2.866515718791939e-7],
    [8, 1],
  ])('Φ(%d) = %d', (z, want) => expect(Math.abs(normalCdf(z) - want)).toBeLessThan(1e-14));

  property.prop([fc.double({ min: -6, max: 6, noNaN: true })])('Φ is symmetric and rises', (z) => {
    expect(normalCdf(z) + normalCdf(-z)).toBeCloseTo(1, 13);
    expect(normalCdf(z + 0.01)).toBeGreaterThanOrEqual(normalCdf(z));
  });
});

describe('least squares', () => {
  test('a line through points that are not on one', () => {
    // y = 1, 3, 2, 5 at x = 0 … 3: slope 1.1, intercept 1.1; SSR 2.7.
    const fit = leastSquares(
      [
        [1, 1, 1, 1],
        [0, 1, 2, 3],
      ],
      [1, 3, 2, 5],
    );
    expect(fit.coefficients[0]).toBeCloseTo(1.1, 12);
    expect(fit.coefficients[1]).toBeCloseTo(1.1, 12);
    expect(fit.ssr).toBeCloseTo(2.7, 12);
    // (XᵀX)⁻¹ = [[0.7, −0.3], [−0.3, 0.2]].
    const [a, b] = fit.inverseDiagonal();
    expect(a).toBeCloseTo(0.7, 12);
    expect(b).toBeCloseTo(0.2, 12);
  });

  test('weights count rows as often as they say', () => {
    const weighted = leastSquares([[1, 1, 1]], [1, 2, 6], [1, 1, 2]);
    expect(weighted.coefficients[0]).toBeCloseTo((1 + 2 + 6 + 6) / 4, 12);
  });

  test('a column that others span is dropped and changes nothing', () => {
    const x = [0, 1, 2, 3];
    const [one, y] = [x.map(() => 1), [1, 3, 2, 5]];
    const double = leastSquares([one, x, x.map((v) => 2 * v + 3)], y);
    expect(double.coefficients[2]).toBeNull();
    expect(double.inverseDiagonal()[2]).toBeNull();
    expect(double.ssr).toBeCloseTo(2.7, 10);
  });

  property.prop([
    fc.array(fc.tuple(fc.double({ min: -5, max: 5, noNaN: true }), fc.double({ min: -5, max: 5, noNaN: true })), {
      minLength: 4,
      maxLength: 30,
    }),
  ])('residuals stand square to every column', (points) => {
    const columns = [points.map(() => 1), points.map((p) => p[0])];
    const { residuals } = leastSquares(
      columns,
      points.map((p) => p[1]),
    );
    for (const column of columns) expect(Math.abs(residuals.reduce((sum, e, i) => sum + e * (column[i] as number), 0))).toBeLessThan(1e-8);
  });
});

describe('a robust fit', () => {
  const level = (y: readonly number[]) => (weights: readonly number[]) => leastSquares([y.map(() => 1)], y, weights).residuals;

  test('is not pulled away by one wild value as a mean is', () => {
    const y = [1, 1.01, 0.99, 1, 1.02, 0.98, 1, 9];
    const { residuals, converged } = huberFit(level(y), y.length, 0.002);
    expect(converged).toBe(true);
    expect(9 - (residuals[7] ?? 0)).toBeCloseTo(1.007, 2);
  });

  test('of values that are all alike has no spread and converges at once', () => {
    const y = [5, 5, 5, 5];
    expect(huberFit(level(y), 4, 0.002)).toMatchObject({ residuals: [0, 0, 0, 0], sigma: 0, converged: true });
  });

  test('σ is the scaled median of what is left', () => {
    const y = [0, 0, 0, 1, -1];
    const { sigma, residuals } = huberFit(level(y), y.length, 10);
    expect(residuals.map((e) => Math.abs(e)).sort()[2]).toBeCloseTo(sigma / 1.4826, 12);
  });
});

describe('tails', () => {
  // Tables, and where there is a closed form that: of two degrees it is e^(−x/2), of four e^(−x/2)·(1 + x/2), of one twice the normal’s.
  test.each([
    [3.841458820694124, 1, 0.05],
    [6.634896601021214, 1, 0.01],
    [16.918977604620448, 9, 0.05],
    [0, 3, 1],
  ])('χ² of %d with %d degrees leaves %d', (x, df, p) => expect(chiSquareTail(x, df)).toBeCloseTo(p, 12));
  test('χ² by closed forms', () => {
    for (const x of [0.1, 1, 3, 10, 40, 120]) {
      expect(chiSquareTail(x, 2)).toBeCloseTo(Math.exp(-x / 2), 13);
      expect(chiSquareTail(x, 4)).toBeCloseTo(Math.exp(-x / 2) * (1 + x / 2), 13);
      expect(chiSquareTail(x, 1)).toBeCloseTo(2 * normalCdf(-Math.sqrt(x)), 12);
    }
  });
  test('the normal law backwards', () => {
    expect(normalQuantile(0.975)).toBeCloseTo(1.959963984540054, 12);
    expect(normalQuantile(0.5)).toBeCloseTo(0, 12);
    for (const p of [0.001, 0.2, 0.9995]) expect(normalCdf(normalQuantile(p))).toBeCloseTo(p, 13);
  });
});
