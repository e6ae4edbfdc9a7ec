import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { geometryAt } from '../family/family';
import { type BoreSeal, gapBetween, laneOf, touches } from '../family/lane';
import { angleBetween, distinctAngles, foldClock, largestGap } from '../gauge/clock-angle';
import { localHighMm } from '../gauge/local-diameter';
import { readingsAt20 } from '../gauge/reading';
import type { Station } from '../gauge/station';
import { GRID_CLOCKS, suggestDepths } from '../gauge/suggest-grid';
import { STANDARD_RULES } from '../rules/rule-set';
import { boreLimits } from './limits';
import { zoneOf } from './zone';

const seal = (id: string, restXMm: number, travelMm: number, more: Partial<BoreSeal> = {}): BoreSeal => ({
  id,
  role: 'pressure',
  restXMm,
  contactMm: 2.5,
  travelMm,
  ...more,
});

describe('lanes', () => {
  test('reach half the contact and the margin past the way of a seal, whichever way it goes', () => {
    expect(laneOf(seal('a', 30, 16), 1)).toMatchObject({ x0Mm: 27.75, x1Mm: 48.25, parked0Mm: 27.75, parked1Mm: 32.25 });
    expect(laneOf(seal('b', 30, -6), 1)).toMatchObject({ x0Mm: 21.75, x1Mm: 32.25, parked0Mm: 27.75, parked1Mm: 32.25 });
  });

  test('of a static seal are where it rests, whatever travel is given', () => {
    expect(laneOf(seal('s', 50, 9, { role: 'static' }), 1)).toMatchObject({ x0Mm: 47.75, x1Mm: 52.25 });
  });

  test.each([
    [0, 1, 1, 2, true, 0],
    [0, 1, 1.5, 2, false, 0.5],
    [3, 4, 1, 2, false, 1],
    [0, 9, 4, 5, true, 0],
  ])('stretches %d–%d and %d–%d: touch %s, gap %d', (a0, a1, b0, b1, touch, gap) => {
    expect([touches(a0, a1, b0, b1), gapBetween(a0, a1, b0, b1)]).toEqual([touch, gap]);
  });
});

describe('zones', () => {
  const seals = [seal('secondary', 12, 16, { role: 'secondary' }), seal('primary', 34, 16)];
  const lanes = seals.map((s) => laneOf(s, 1));
  test.each<[string, number, number, string, string, number]>([
    ['open-ward of all', 2, 4, 'clear', 'secondary', 5.75],
    ['where the secondary rests', 13, 14, 'parked', 'secondary', 0],
    ['in its way', 20, 21, 'swept', 'secondary', 0],
    ['a long one over both rests belongs to the seal that rests nearest its middle', 14, 33, 'parked', 'primary', 0],
    ['between the two lanes', 30.5, 31, 'clear', 'secondary', 0.25],
    ['at the very edge of a parked band', 36.25, 37, 'parked', 'primary', 0],
    ['past the deepest', 55, 56, 'clear', 'primary', 2.75],
  ])('%s', (_, x0Mm, x1Mm, zone, nearestSealId, distanceMm) => {
    const found = zoneOf({ x0Mm, x1Mm }, seals, lanes);
    expect([found.zone, found.nearestSealId]).toEqual([zone, nearestSealId]);
    expect(found.distanceMm).toBeCloseTo(distanceMm, 12);
  });
});

describe('limits', () => {
  const limit = (nominalMm: number, pistonDiaMm: number, material: Parameters<typeof boreLimits>[0]['material'] = 'cast-iron') =>
    boreLimits({ material, pistonDiaMm, bore: { nominalMm }, seals: [seal('cup', 30, 10)] }, STANDARD_RULES);
  test.each([
    [19.05, 0.1],
    [20, 0.1],
    [20.64, 0.13],
    [26, 0.13],
    [26.01, 0.15],
    [32, 0.15],
    [38.1, 0.2],
  ])('a bore of %d mm may have %d mm of clearance', (nominalMm, clearanceMaxMm) => {
    expect(limit(nominalMm, nominalMm - 0.05).clearanceMaxMm).toBe(clearanceMaxMm);
  });

  test.each([
    ['cast-iron', 0.15],
    ['alloy', 0.1],
    ['alloy-anodised', 0.05],
    ['sleeve-stainless', 0.1],
    ['sleeve-brass', 0.1],
    ['sleeve-steel', 0.1],
  ] as const)('%s may be %d mm over', (material, oversizeMaxMm) => {
    expect(limit(22.225, 22.2, material).oversizeMaxMm).toBe(oversizeMaxMm);
  });

  test('the lesser of the two counts, and a shop’s own numbers go before the table', () => {
    expect(limit(22.225, 22.17).limitDiaMm).toBeCloseTo(22.3, 12);
    expect(limit(22.225, 22.22).limitDiaMm).toBeCloseTo(22.35, 12);
    expect(limit(22.225, 22.26).limitDiaMm).toBeCloseTo(22.375, 12);
    const own = boreLimits(
      { material: 'alloy', pistonDiaMm: 22.1, bore: { nominalMm: 22.225 }, seals: [seal('cup', 30, 10)] },
      { clearanceMaxMm: 0.3, oversizeMaxMm: 0.02 },
    );
    expect(own.limitDiaMm).toBeCloseTo(22.245, 12);
  });
});

describe('the clock of a diameter', () => {
  test.each([
    [-10, 170],
    [180, 0],
    [370, 10],
    [725, 5],
  ])('%d° folds to %d°', (deg, want) => expect(foldClock(deg)).toBe(want));

  test('distance goes round, and distinct angles lie more than 5° apart, round the wrap too', () => {
    expect([angleBetween(178, 2), angleBetween(0, 90), angleBetween(10, 130)]).toEqual([4, 90, 60]);
    expect(distinctAngles([0, 5, 45, 48, 90, 176])).toEqual([0, 45, 90]);
    expect(distinctAngles([0, 5.1, 174.9])).toEqual([0, 5.1, 174.9]);
    expect(largestGap([0, 45, 90])).toBe(90);
    expect(largestGap([20])).toBe(180);
  });
});

describe('the diameter at a place', () => {
  const station = (xMm: number, highMm: number): Station => ({
    xMm,
    highMm,
    lowMm: highMm,
    meanMm: highMm,
    ovalityMm: 0,
    ovalityUncertaintyMm: 0,
    majorAxisDeg: null,
    method: 'harmonic',
    rmsResidualMm: null,
  });
  const stations = [station(10, 20), station(20, 20.1), station(30, 20.02)];
  test.each([
    ['before the first station', 0, 5, 20],
    ['after the last', 40, 41, 20.02],
    ['between two', 15, 15, 20.05],
    ['a station inside the stretch counts', 15, 25, 20.1],
    ['on a station', 30, 30, 20.02],
  ])('%s', (_, x0, x1, want) => expect(localHighMm(stations, x0, x1)).toBeCloseTo(want, 12));
});

describe('temperature', () => {
  const at = (bodyTempC: number | null, gaugeTempC: number | null = null) =>
    readingsAt20([{ xMm: 0, clockDeg: 0, diaMm: 25 }], 'alloy', { bodyTempC, gaugeTempC })[0]?.diaMm;
  test('unknown leaves readings as they are; warm metal was read too big; a warm gauge reads too small', () => {
    expect(at(null, 35)).toBe(25);
    expect(at(30)).toBeCloseTo(25 * (1 - 23e-6 * 10), 12);
    expect(at(20, 30)).toBeCloseTo(25 * (1 + 11.5e-6 * 10), 12);
  });
});

describe('the suggested grid', () => {
  test.each(Object.values(FAMILIES).flatMap((f) => (f.drawing === null ? [] : [[f.name, f.drawing] as const])))(
    '%s: inside every lane at both ends of it, at both ends of the bore and its middle, all in the bore and clear of what is cut into it',
    (_, drawing) => {
      const g = geometryAt(drawing, 22.225);
      const depths = suggestDepths(g, STANDARD_RULES);
      const lanes = g.seals.map((s) => laneOf(s, 1));
      for (const lane of lanes) {
        expect(depths.some((x) => x >= lane.parked0Mm - 3 && x <= lane.parked1Mm + 3)).toBe(true);
        const inside = depths.filter((x) => x >= lane.x0Mm && x <= lane.x1Mm);
        expect(inside.length).toBeGreaterThanOrEqual(lane.role === 'static' ? 1 : 2);
        // No wear of more than the rule's width passes between two depths, unless a port or groove holds the gauge off.
        const cut = [...g.ports, ...g.grooves].map((c) => c.xMm);
        for (const [from, to] of [lane.x0Mm, ...inside, Math.min(lane.x1Mm, g.lengthMm)].flatMap((x, i, all) =>
          i === 0 ? [] : [[all[i - 1] as number, x] as const],
        ))
          if (lane.role !== 'static' && !cut.some((x) => x > from - 3 && x < to + 3)) expect(to - from).toBeLessThanOrEqual(8 + 1e-9);
      }
      for (const end of [0, g.lengthMm / 2, g.lengthMm])
        expect(Math.min(...depths.map((x) => Math.abs(x - end)))).toBeLessThan(Math.max(7, g.lengthMm / 7));
      expect(depths.every((x, i) => x > 0 && x < g.lengthMm && (i === 0 || x - (depths[i - 1] as number) >= 2))).toBe(true);
      expect(distinctAngles(GRID_CLOCKS).length).toBe(GRID_CLOCKS.length);
    },
  );
});
