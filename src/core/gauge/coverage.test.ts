import { describe, expect, test } from 'vitest';
import { type BoreSeal, laneOf } from '../family/lane';
import { STANDARD_RULES } from '../rules/rule-set';
import { openLanes, ungauged } from './coverage';
import { formBetween } from './form-between';
import type { Station } from './station';

/** Rests at 20, lane 17.75 to 44.25, parked 17.75 to 22.25. */
const SEAL: BoreSeal = { id: 'primary', role: 'pressure', restXMm: 20, contactMm: 2.5, travelMm: 22 };
const open = (
  stations: readonly (readonly [number, Station['method']])[],
  { seals = [SEAL], lengthMm = 60, laneGapMaxMm = 8 }: { seals?: readonly BoreSeal[]; lengthMm?: number; laneGapMaxMm?: number } = {},
) =>
  openLanes({
    seals,
    lanes: seals.map((s) => laneOf(s, 1)),
    stations: stations.map(([xMm, method]) => ({ xMm, method })),
    lengthMm,
    rules: { ...STANDARD_RULES, laneGapMaxMm },
  }).map((l) => [l.sealId, l.xMm]);
const at = (xs: readonly number[], method: Station['method'] = 'harmonic') => xs.map((x) => [x, method] as const);

describe('where a lane is still to be gauged', () => {
  test.each<[string, Parameters<typeof open>, unknown]>([
    // Rest 20; 3 mm inside 44.25; between 20 and 41.25 are 21.25 mm: three pieces.
    ['nothing gauged', [[]], [['primary', [20, 20 + 21.25 / 3, 20 + 42.5 / 3, 41.25]]]],
    ['its rest and the end of its travel only: the middle of the stroke', [at([20, 42])], [['primary', [20 + 22 / 3, 20 + 44 / 3]]]],
    ['closely enough', [at([20, 28, 36, 42])], []],
    // 17.75 to 14.8 mm is 2.95: it tells about the rest; inside the lane it does not stand, and the first stretch runs from the edge.
    ['a station just outside tells about the rest', [at([14.8, 25.5, 33.5, 41.5])], []],
    ['not one 3.1 mm outside', [at([14.6, 25.5, 33.5, 41.5])], [['primary', [20]]]],
    ['one clock at a depth does not cross it', [[...at([20, 36, 42]), [28, 'single'] as const]], [['primary', [28]]]],
    ['two clocks everywhere: the depth nearest the rest is turned to a third', [at([19, 27, 35, 42], 'two-point')], [['primary', [19]]]],
    ['a tie goes to the lesser depth', [at([18, 22, 30, 38, 43], 'two-point')], [['primary', [18]]]],
    ['a rule of 12 mm asks for less', [at([20, 31, 42]), { laneGapMaxMm: 12 }], []],
    [
      'a rule below 1 mm counts as 1',
      [at([20, 21]), { seals: [{ ...SEAL, travelMm: 0.5 }], laneGapMaxMm: 0.1 }],
      [['primary', [18.5, 19.25, 21.875]]],
    ],
    ['a lane ends where the bore does', [at([20, 27, 34]), { lengthMm: 36 }], []],
    [
      'travel toward the mouth: the far end is the near one',
      [at([40, 33, 26]), { seals: [{ ...SEAL, restXMm: 40, travelMm: -22 }] }],
      [['primary', [18.75]]],
    ],
    ['a secondary seal is content with two clocks', [at([20, 28, 36, 42], 'two-point'), { seals: [{ ...SEAL, role: 'secondary' }] }], []],
    ['a static seal asks for none', [[], { seals: [{ ...SEAL, role: 'static' }] }], []],
  ])('%s', (_, given, want) => {
    const said = open(...given);
    const rounded = (v: unknown) => JSON.parse(JSON.stringify(v, (_k, x) => (typeof x === 'number' ? Math.round(x * 1e6) / 1e6 : x)));
    expect(rounded(said)).toEqual(rounded(want));
  });

  test('what is asked for one lane counts for the next', () => {
    const twin = { ...SEAL, id: 'secondary', role: 'secondary' as const };
    expect(open([], { seals: [SEAL, twin] }).map(([id]) => id)).toEqual(['primary']);
  });
});

describe('what was never looked at', () => {
  const blank = (depths: readonly number[], lengthMm = 60) =>
    ungauged({ lanes: [laneOf(SEAL, 1)], stations: at(depths).map(([xMm, method]) => ({ xMm, method })), lengthMm, rules: STANDARD_RULES });

  test('is the lane beyond half of the rule’s stretch from every depth; all of it where nothing was gauged', () => {
    expect(blank([])).toEqual([{ x0Mm: 17.75, x1Mm: 44.25 }]);
    expect(blank([20, 28, 36, 42])).toEqual([]);
    expect(blank([20, 42])).toEqual([{ x0Mm: 24, x1Mm: 38 }]);
    expect(blank([20, 28, 36])).toEqual([{ x0Mm: 40, x1Mm: 44.25 }]);
  });
  test('one clock at a depth is no look; a lane ends where the bore does', () => {
    const stations = [{ xMm: 30, method: 'single' as const }];
    expect(ungauged({ lanes: [laneOf(SEAL, 1)], stations, lengthMm: 36, rules: STANDARD_RULES })).toEqual([{ x0Mm: 17.75, x1Mm: 36 }]);
  });
});

describe('form between depths', () => {
  const station = (xMm: number, highMm: number): Station => ({
    xMm,
    highMm,
    lowMm: highMm,
    meanMm: highMm,
    method: 'two-point',
    ovalityMm: 0,
    ovalityUncertaintyMm: 0,
    majorAxisDeg: null,
    rmsResidualMm: null,
  });
  const between = (...stations: readonly Station[]) => formBetween(stations, [laneOf(SEAL, 1)]);

  test('a quarter of the sharpest bend, and the middles of the two spacings beside it', () => {
    // At 28 the line from 20 to 40 stands at 22.304; 22.324 is 20 µm above it.
    const { doubtMm, xMm } = between(station(20, 22.3), station(28, 22.324), station(40, 22.31));
    expect([doubtMm, xMm]).toEqual([expect.closeTo(0.005, 12), [24, 34]]);
  });
  test('uneven spacing of a straight taper bends nowhere', () => {
    expect(between(station(20, 22.3), station(22, 22.302), station(40, 22.32)).doubtMm).toBeCloseTo(0, 12);
  });
  test('two depths know of no bend; what lies far from the lane bends for nobody', () => {
    expect(between(station(20, 22.3), station(40, 22.4))).toEqual({ doubtMm: 0, xMm: null });
    expect(between(station(5, 22.9), station(20, 22.3), station(40, 22.3)).doubtMm).toBe(0);
  });
});
