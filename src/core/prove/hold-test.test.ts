import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { type HoldInput, holdTest } from './hold-test';

const trace = (law: (t: number) => number, seconds = 120, stepS = 0.5) =>
  Array.from({ length: seconds / stepS + 1 }, (_, i) => ({ tS: i * stepS, pBar: law(i * stepS) }));
const hold = (law: (t: number) => number, seconds?: number, more: Partial<HoldInput> = {}) =>
  holdTest({ trace: trace(law, seconds), complianceMlPerBar: 0.05, ...more }, STANDARD_RULES);
/** The same noise at every run, ±0.02 bar: the fraction that a large sine leaves. */
const ripple = (t: number): number => {
  const wild = 43_758.5453 * Math.sin(12.9898 * (t + 1));
  return 0.04 * (wild - Math.floor(wild) - 0.5);
};

describe('a hold that loses its pressure never passes', () => {
  test('5 bar gone in 23 s through a lip that leaks eight times the limit', () => {
    const lip = (t: number): number => Math.max(0, 5 * (1 - t / 23));
    for (const seconds of [60, 300]) {
      const answer = hold((t) => Math.max(0, lip(t) + ripple(t) / 4), seconds, { complianceMlPerBar: 0.03 });
      // 2.5 bar of 0.03 ml/bar in 11.5 s are 0.39 ml/min.
      expect([answer.outcome, answer.because, answer.leakMlPerMin > 0.3]).toEqual(['fail', 'emptied', true]);
    }
  });
  test('80 bar falling to 30 and then flat', () => {
    const answer = hold((t) => (t < 20 ? 80 - 2.5 * t : 30) + ripple(t));
    expect([answer.outcome, answer.because]).toEqual(['fail', 'emptied']);
  });
  test('80 bar falling to 45 and then flat: what is lost is more than anything settles', () => {
    const answer = hold((t) => 45 + 35 * Math.exp(-t / 12) + ripple(t));
    expect([answer.outcome, answer.because]).toEqual(['fail', 'falls']);
    // From 77.2 bar a second after shutting: 32.2 bar less 7.7 of settling, of 0.05 ml/bar, in 2 min, less what 0.1 K a minute feigns at 2σ.
    expect(answer.leakLeastMlPerMin).toBeCloseTo((0.05 * (32.2 - 7.72)) / 2 - 2 * 30 * 7.6e-4 * 0.1, 2);
  });
  test('2 ml/min for a minute, forty times the limit', () => {
    const answer = hold((t) => Math.max(0, 80 - (2 / 0.05 / 60) * t) + ripple(t), 60);
    expect(answer.outcome).toBe('fail');
  });
  test('a line at nought after a fill to 80 is no hold of 80 bar', () => {
    expect(hold((t) => 0.2 + ripple(t), 120, { stepBar: 80 })).toMatchObject({ outcome: 'hold-longer', because: 'low', needMoreS: null });
  });
  test('what gives way late is not hidden in the mean of the whole', () => {
    const answer = hold((t) => 80 - (t > 160 ? 0.03 * (t - 160) : 0) + ripple(t) / 4, 200);
    expect([answer.outcome, answer.because]).toEqual(['hold-longer', 'late']);
  });
  test('a unit so stiff that half of its pressure is hardly any fluid is pumped up again', () => {
    const answer = hold((t) => 80 * Math.exp(-t / 100) + ripple(t), 120, { complianceMlPerBar: 0.0005 });
    expect(answer).toMatchObject({ outcome: 'hold-longer', because: 'emptied', needMoreS: null, settledBar: null, rmsBar: null });
  });
});

describe('what it is called', () => {
  test.each<[string, (t: number) => number, string, string | null]>([
    ['tight, settling', (t) => 80 - (1 - Math.exp(-t / 8)) - 0.002 * t + ripple(t), 'pass', null],
    ['tight, settling as the logarithm of time does', (t) => 80 - 0.5 * Math.log1p(t / 3) - 0.001 * t + ripple(t) / 4, 'pass', null],
    ['leaking', (t) => 80 - (1 - Math.exp(-t / 8)) - 0.05 * t + ripple(t), 'fail', null],
    ['warming', (t) => 80 + 0.02 * t + ripple(t), 'hold-longer', 'rising'],
  ])('%s', (_, law, outcome, because) => {
    const answer = hold(law);
    expect([answer.outcome, answer.because]).toEqual([outcome, because]);
    expect(answer.needMoreS === null).toBe(outcome !== 'hold-longer');
  });

  test('settling slower than a minute can tell', () => {
    const answer = hold((t) => 80 - 0.014 * t - 4 * (1 - Math.exp(-t / 60)) + ripple(t), 60);
    expect([answer.outcome, answer.because]).toEqual(['hold-longer', 'still-settling']);
  });

  test('undecided asks for a hold long enough to decide', () => {
    const answer = hold((t) => 80 - (0.05 / 0.05 / 60) * t + 8 * ripple(t), 20);
    expect(answer.outcome).toBe('hold-longer');
    expect(answer.needMoreS).toBeGreaterThan(0);
    expect(answer.needMoreS).toBeLessThanOrEqual(900);
  });
});

test.each([0.001, 0.01, 0.02])('a straight fall of %f bar/s without noise is found within 1 %%', (perS) => {
  const answer = hold((t) => 80 - perS * t);
  expect(answer.leakMlPerMin / (60 * 0.05 * perS)).toBeCloseTo(1, 2);
  expect(answer.settledBar).toBeLessThan(0.01);
});

describe('what is not known counts', () => {
  const tight = (t: number): number => 80 - 0.002 * t + ripple(t) / 4;
  test('no log of the temperature is doubt; a log is heeded, and half of it doubted', () => {
    // 30 ml of 7.6e-4 a K, 0.1 K a minute at 1σ, and never less than a twentieth of the limit.
    expect(hold(tight).seMlPerMin).toBeGreaterThanOrEqual(0.0025);
    const warm = (kPerMin: number) =>
      holdTest({ trace: trace(tight).map((s) => ({ ...s, tempC: 20 + (kPerMin * s.tS) / 60 })), complianceMlPerBar: 0.05 }, STANDARD_RULES);
    expect(warm(0).tempShareMlPerMin).toBeCloseTo(0, 12);
    expect(warm(0.5).tempShareMlPerMin).toBeCloseTo(30 * 7.6e-4 * 0.5, 9);
    expect(warm(0.5).leakMlPerMin - warm(0).leakMlPerMin).toBeCloseTo(30 * 7.6e-4 * 0.5, 9);
    expect(warm(0.5).seMlPerMin).toBeGreaterThan(0.5 * 30 * 7.6e-4 * 0.5);
  });
  test('neither is a dial’s scatter, nor a compliance that was hardly measured', () => {
    const width = (more: Partial<HoldInput>) => hold(tight, 120, more).seMlPerMin;
    expect(width({ readSeBar: 0.5 })).toBeGreaterThan(width({}));
    const leaking = (complianceSe: number) => hold((t) => 80 - 0.03 * t + ripple(t) / 4, 120, { complianceSe }).seMlPerMin;
    // A tenth of the compliance is a tenth of the leak.
    expect(Math.sqrt(leaking(0.005) ** 2 - leaking(0) ** 2)).toBeCloseTo(0.009, 3);
  });
});
