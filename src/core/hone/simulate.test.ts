import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { gaugeBore } from '../gauge/gauge';
import { STANDARD_RULES } from '../rules/rule-set';
import { afterStrokes, type BoreField, fieldOf, profileOf, readingsIn } from './simulate';

const round = (xMm: number, meanMm: number) => ({ xMm, meanMm, ovalityMm: 0, majorAxisDeg: null });
const LENGTH = 60;
const straight = () => fieldOf([round(5, 22.2), round(55, 22.2)], LENGTH, 120, 24);
const CUT = { umPer100Turns: 7.5, turnsPerStroke: 7.5 };
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
const through = (overrunMm: number) => ({ stoneLengthMm: 24, overrunMm, strokeMm: LENGTH + 2 * overrunMm - 24 });
const formOf = (field: BoreField) =>
  gaugeBore({ readings: readingsIn(field, [3, 15, 30, 45, 57], [0, 60, 120]), material: 'cast-iron', bodyTempC: null }, STANDARD_RULES);

describe('a simulated hone', () => {
  property.prop(
    [fc.integer({ min: 1, max: 30 }), fc.double({ min: 0, max: 12, noNaN: true }), fc.double({ min: 0, max: 0.03, noNaN: true })],
    {
      numRuns: 15,
    },
  )('takes off what the rate says, as a mean over the bore', (strokes, overrun, taper) => {
    const before = fieldOf([round(0, 22.2), round(LENGTH, 22.2 + taper)], LENGTH, 120, 24);
    const after = afterStrokes(before, through(overrun), CUT, strokes);
    const taken = mean(profileOf(after).meanMm) - mean(profileOf(before).meanMm);
    expect(taken).toBeCloseTo((strokes * CUT.umPer100Turns * CUT.turnsPerStroke) / 100 / 1000, 9);
  });

  test('that runs far out of both ends bells them; one that hardly does leaves them tight', () => {
    const ends = (overrun: number): number => {
      const { meanMm } = profileOf(afterStrokes(straight(), through(overrun), CUT, 120));
      return mean([...meanMm.slice(0, 8), ...meanMm.slice(-8)]) - mean(meanMm.slice(50, 70));
    };
    expect(ends(16)).toBeGreaterThan(0.004);
    expect(ends(1)).toBeLessThan(-0.004);
    expect(ends(8)).toBeGreaterThan(ends(1));
    expect(ends(8)).toBeLessThan(ends(16));
  });

  test('leaves what is below the relief of a blind bore as it was, and the bottom tight', () => {
    const relief = { stoneLengthMm: 24, overrunMm: 8, strokeMm: LENGTH + 8 - 24 - 3 };
    const { meanMm } = profileOf(afterStrokes(straight(), relief, CUT, 100));
    expect(meanMm.at(-1)).toBeCloseTo(22.2, 12);
    expect(meanMm.at(-12) as number).toBeLessThan(meanMm[60] as number);
  });

  test('takes a waist down before the rest: what stands proud is cut first', () => {
    const waist = fieldOf([round(5, 22.22), round(30, 22.2), round(55, 22.22)], LENGTH, 120, 24);
    const after = afterStrokes(waist, through(8), CUT, 60);
    expect(formOf(waist).shape).toBe('waist');
    expect(formOf(after).taperMm).toBeLessThan(formOf(waist).taperMm * 0.7);
  });

  test('keeps the axis of an oval bore and hardly rounds it, as sprung stones do', () => {
    const oval = fieldOf([{ xMm: 30, meanMm: 22.2, ovalityMm: 0.03, majorAxisDeg: 40 }], LENGTH, 120, 72);
    const before = formOf(oval);
    const after = formOf(afterStrokes(oval, through(8), CUT, 40));
    expect(before.stations[2]?.majorAxisDeg).toBeCloseTo(40, 6);
    expect(after.stations[2]?.majorAxisDeg).toBeCloseTo(40, 2);
    expect(after.ovalityMaxMm as number).toBeLessThan(0.03);
    expect(after.ovalityMaxMm as number).toBeGreaterThan(0.02);
  });

  test('is the same all around a round bore and from both ends of a through one', () => {
    const { radiusMm, xMm, clocks } = afterStrokes(straight(), through(8), CUT, 20);
    for (let i = 0; i < xMm.length; i++) {
      expect(radiusMm[i]).toBeCloseTo(radiusMm[(clocks / 3) * xMm.length + i] as number, 12);
      expect(radiusMm[i]).toBeCloseTo(radiusMm[xMm.length - 1 - i] as number, 3);
    }
  });
});
