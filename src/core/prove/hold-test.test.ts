import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { holdTest } from './hold-test';

const trace = (law: (t: number) => number, seconds = 120, stepS = 0.5) =>
  Array.from({ length: seconds / stepS + 1 }, (_, i) => ({ tS: i * stepS, pBar: law(i * stepS) }));
const hold = (law: (t: number) => number, seconds?: number) =>
  holdTest({ trace: trace(law, seconds), complianceMlPerBar: 0.05 }, STANDARD_RULES);
/** The same noise at every run, ±0.02 bar: the fraction that a large sine leaves. */
const ripple = (t: number): number => {
  const wild = 43_758.5453 * Math.sin(12.9898 * (t + 1));
  return 0.04 * (wild - Math.floor(wild) - 0.5);
};

property.prop([
  fc.double({ min: 0.2, max: 2, noNaN: true }),
  fc.double({ min: 3, max: 30, noNaN: true }),
  fc.double({ min: -0.01, max: 0.05, noNaN: true }),
])('a trace made by the law gives its own numbers back', (a, tau, r) => {
  const { fit } = hold((t) => 80 - a * (1 - Math.exp(-t / tau)) - r * t);
  expect(fit.p0Bar).toBeCloseTo(80, 5);
  expect(fit.aBar).toBeCloseTo(a, 4);
  expect(fit.tauS).toBeCloseTo(tau, 3);
  expect(fit.rBarPerS).toBeCloseTo(r, 6);
  expect(fit.converged).toBe(true);
});

describe('what it is called', () => {
  test.each<[string, (t: number) => number, string, string | null]>([
    ['tight, settling', (t) => 80 - (1 - Math.exp(-t / 8)) - 0.002 * t + ripple(t), 'pass', null],
    ['leaking', (t) => 80 - (1 - Math.exp(-t / 8)) - 0.05 * t + ripple(t), 'fail', null],
    ['warming', (t) => 80 + 0.02 * t + ripple(t), 'hold-longer', 'rising'],
    ['settling slower than the hold can tell', (t) => 80 - 12 * (1 - Math.exp(-t / 300)) + ripple(t), 'hold-longer', 'still-settling'],
  ])('%s', (_, law, outcome, because) => {
    const answer = hold(law);
    expect([answer.outcome, answer.because]).toEqual([outcome, because]);
    expect(answer.needMoreS === null).toBe(outcome !== 'hold-longer');
  });

  test('undecided asks for a hold long enough to decide', () => {
    const answer = hold((t) => 80 - (0.05 / 0.05 / 60) * t + 8 * ripple(t), 20);
    expect([answer.outcome, answer.because]).toEqual(['hold-longer', 'undecided']);
    expect(answer.needMoreS).toBeGreaterThan(0);
    expect(answer.needMoreS).toBeLessThanOrEqual(900);
  });
});

test('a straight fall has no settling in it', () => {
  const { fit } = hold((t) => 50 - 0.01 * t);
  expect([fit.aBar, fit.tauS]).toEqual([0, null]);
  expect(fit.rBarPerS).toBeCloseTo(0.01, 9);
});
