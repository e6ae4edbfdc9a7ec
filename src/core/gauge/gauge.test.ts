import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { gaugeBore } from './gauge';
import { nominalCandidates } from './nominal';
import type { Reading } from './reading';

const gauge = (readings: readonly Reading[]) => gaugeBore({ readings, material: 'cast-iron' }, STANDARD_RULES);
const at = (xMm: number, diaMm: number, clocks: readonly number[] = [0, 60, 120]): readonly Reading[] =>
  clocks.map((clockDeg) => ({ xMm, clockDeg, diaMm }));

property.prop([
  fc.double({ min: 0, max: 0.1, noNaN: true }),
  fc.double({ min: 0, max: 179.9, noNaN: true }),
  fc.integer({ min: 3, max: 9 }),
])('an ellipse read at evenly spaced angles gives back its mean, ovality and axis', (ovality, axis, n) => {
  const readings = Array.from({ length: n }, (_, i) => {
    const clockDeg = (i * 180) / n + 7;
    return { xMm: 10, clockDeg, diaMm: 22 + (ovality / 2) * Math.cos((2 * (clockDeg - axis) * Math.PI) / 180) };
  });
  const station = gauge(readings).stations[0];
  expect(station?.method).toBe('harmonic');
  expect(station?.meanMm).toBeCloseTo(22, 9);
  expect(station?.ovalityMm).toBeCloseTo(ovality, 9);
  if (ovality > 1e-4) {
    const off = Math.abs((station?.majorAxisDeg ?? 0) - axis);
    expect(Math.min(off, 180 - off)).toBeLessThan(1e-5);
  }
});

describe('how a depth is read', () => {
  test.each([
    ['one angle', [0, 180, 3], 'single'],
    ['two angles', [0, 90, 184], 'two-point'],
    ['three within 80°: a gap above 100°', [0, 30, 70], 'two-point'],
    ['three spread', [0, 60, 120], 'harmonic'],
    ['a gap of exactly 100°', [0, 40, 80], 'harmonic'],
    ['5° apart is one angle', [0, 5, 90], 'two-point'],
    ['round the wrap', [2, 90, 178], 'two-point'],
  ])('%s', (_, clocks, method) => {
    expect(gauge(at(5, 20, clocks as readonly number[])).stations[0]?.method).toBe(method);
  });

  test('of three badly spread angles the two nearest to a right angle count, the third is left out', () => {
    const station = gauge([
      { xMm: 1, clockDeg: 0, diaMm: 20 },
      { xMm: 1, clockDeg: 30, diaMm: 29 },
      { xMm: 1, clockDeg: 70, diaMm: 20.02 },
    ]).stations[0];
    expect(station?.meanMm).toBeCloseTo(20.01, 12);
    expect(station?.ovalityMm).toBeCloseTo(0.02, 12);
  });

  test('readings within 0.25 mm of the first are one depth', () => {
    expect(gauge([...at(10, 20), ...at(10.25, 20), ...at(10.3, 20)]).stations.map((s) => Number(s.xMm.toFixed(4)))).toEqual([10.125, 10.3]);
  });
});

describe('shapes', () => {
  const shape = (means: readonly number[]) => {
    const { shape: kind, taperToward } = gauge(means.flatMap((m, i) => at(i * 10, m)));
    return taperToward === null ? kind : `${kind} ${taperToward}`;
  };
  test.each([
    [[20], 'unknown'],
    [[20, 20.005], 'cylindrical'],
    [[20, 20.02, 20], 'barrel'],
    [[20.02, 20, 20.02], 'waist'],
    [[20.02, 20, 20.001, 20], 'bell-mouth'],
    [[20, 20.012], 'taper blind'],
    [[20.03, 20.015, 20], 'taper open'],
    [[20, 20.0045, 19.9955, 20.001], 'irregular'],
  ])('%j is %s', (means, expected) => expect(shape(means)).toBe(expected));
});

test('sizes near what was gauged, nearest first', () => {
  expect(nominalCandidates(19.03).map((c) => c.label)).toEqual(['3/4 in', '19 mm']);
  expect(nominalCandidates(27.2).map((c) => c.label)).toEqual(['27 mm', '1 1/16 in']);
  expect(nominalCandidates(100)).toEqual([]);
});
