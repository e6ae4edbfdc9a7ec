import { describe, expect, test } from 'vitest';
import { seeded } from '../../../devices/hand/random';
import { sayCovers } from '../judge/say-covers';
import { cornersIn } from './corners';
import type { Reading } from './reading';

const SIGMA = 0.002;
/** Read across clocks at one depth, as wide as a function of the angle says. */
const read = (wide: (rad: number) => number, clocks = 8, xMm = 20): readonly Reading[] =>
  Array.from({ length: clocks }, (_, i) => ({ xMm, clockDeg: (180 * i) / clocks, diaMm: wide((Math.PI * i) / clocks) }));

describe('corners of a bore', () => {
  test('an oval has none, however oval; four corners of 12 µm show across eight clocks', () => {
    expect(
      cornersIn(
        read((a) => 22.236 + 0.02 * Math.cos(2 * a)),
        SIGMA,
      ),
    ).toEqual([]);
    // D = mean + 0.006·cos 4θ: over eight clocks its sum of squares is 8·0.006²/2, over 5 left: 0.00537.
    expect(
      cornersIn(
        read((a) => 22.236 + 0.006 * Math.cos(4 * a)),
        SIGMA,
      ),
    ).toEqual([{ xMm: 20, residualMm: expect.closeTo(0.00537, 5) as number }]);
  });
  test('four clocks tell nothing of them', () => {
    expect(
      cornersIn(
        read((a) => 22.236 + 0.03 * Math.cos(4 * a), 4),
        SIGMA,
      ),
    ).toEqual([]);
  });
  test('noise alone is hardly ever taken for them', () => {
    const random = seeded(5);
    const found = Array.from(
      { length: 4000 },
      () =>
        cornersIn(
          read(() => 22.236 + random.normal(SIGMA)),
          SIGMA,
        ).length,
    );
    expect(found.reduce((a, b) => a + b, 0)).toBeLessThan(12);
  });
  test('three corners do not show to two points, and that is said of every verdict', () => {
    // Radius 11.118 + 0.02·cos 3θ: opposite radii add up to the same all round.
    const r = (a: number): number => 11.118 + 0.02 * Math.cos(3 * a);
    const readings = read((a) => r(a) + r(a + Math.PI));
    expect(Math.max(...readings.map((x) => x.diaMm)) - Math.min(...readings.map((x) => x.diaMm))).toBeLessThan(1e-9);
    expect(cornersIn(readings, SIGMA)).toEqual([]);
    expect(sayCovers({ gauge: null, readings: 0, not: [], corners: [], formDoubtMm: null })).toEqual([
      'It rests on the marks drawn; nothing was gauged.',
      'Three corners in a bore: a gauge of two points does not see them.',
    ]);
  });
  test('what was not looked at, and what may be between the depths, is said with its figures', () => {
    const said = sayCovers({
      gauge: { stations: [] },
      readings: 24,
      not: [{ x0Mm: 24, x1Mm: 38.04 }],
      corners: [{ xMm: 20, residualMm: 0.0054 }],
      formDoubtMm: 0.003,
    });
    expect(said.slice(1)).toEqual([
      'Between the depths it may be wider than gauged by 0.006 mm.',
      'Not gauged where seals run: 24 to 38 mm.',
      'At 20 mm the readings do not fit an oval, by 0.005 mm: the bore may have corners; look with three points or a ring.',
      'Three corners in a bore: a gauge of two points does not see them.',
    ]);
  });
});
