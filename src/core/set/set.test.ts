import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { CALCULATIONS } from '../api/compute';
import { METRIC } from '../quantity/units';
import { STANDARD_RULES } from '../rules/rule-set';
import { GAP_FIELDS, gapQuery, gapQuestion, gapSheetOf, impossibleReadings } from './gap-sheet';
import { hydraulics } from './hydraulics';
import { gapAsText, sayTurns, sayVerdict } from './say-gap';
import { type SetupInput, setup } from './setup';

const gapOf = (gapMm: number, more: Partial<SetupInput> = {}) =>
  setup(
    {
      master: { rimStandOffMm: 5, socketDepthMm: 13, uMm: 0.02 },
      booster: { straightEdgeMm: 20, readingMm: 12 + gapMm, uMm: 0.02 },
      window: { minMm: 0.4, maxMm: 1.1 },
      ...more,
    },
    STANDARD_RULES,
  );

describe('the pushrod’s gap', () => {
  test.each([
    [-0.2, 'binding'],
    [0, 'binding'],
    [0.2, 'too-tight'],
    [0.4, 'measure-again'],
    [0.47, 'measure-again'],
    [0.75, 'ok'],
    [1.05, 'measure-again'],
    [1.2, 'too-loose'],
  ] as const)('%d mm is %s', (gap, verdict) => {
    // U = 2·√(2·0.02² + 2·0.02²) = 0.08.
    const { gapMm, expandedUncertaintyMm, verdict: got } = gapOf(gap);
    expect([gapMm, expandedUncertaintyMm]).toEqual([expect.closeTo(gap, 9), expect.closeTo(0.08, 9)]);
    expect(got).toBe(verdict);
  });

  test('without an aim it is the middle of the window; the rod grows by what the gap is too wide', () => {
    expect(gapOf(0.9)).toMatchObject({ rodChangeMm: expect.closeTo(0.15, 9), turns: null, lostPedalMm: null, closesAtC: null });
    expect(gapOf(0.5, { rodPitchMm: 1.25, targetMm: 1 })).toMatchObject({
      rodChangeMm: expect.closeTo(-0.5, 9),
      turns: expect.closeTo(0.4, 9),
    });
  });

  test('it closes with warmth where the rod outgrows the body, and not past what it ever gets', () => {
    const thermal = { rodLengthMm: 100, rodAlphaPerK: 30e-6, bodyAlphaPerK: 10e-6 };
    expect(gapOf(0.1, { thermal }).closesAtC).toBeCloseTo(70, 6);
    expect(gapOf(0.36, { thermal }).closesAtC).toBeCloseTo(200, 6);
    expect([gapOf(0.37, { thermal }).closesAtC, gapOf(0, { thermal }).closesAtC]).toEqual([null, null]);
    expect(gapOf(0.1, { thermal: { ...thermal, rodAlphaPerK: 10e-6 } }).closesAtC).toBeNull();
  });

  test('a turnbuckle with one left-hand end draws by both pitches, else by their difference', () => {
    const turnbuckle = { pitch1Mm: 1.25, pitch2Mm: 1, leftHanded: false };
    expect(gapOf(0.7, { turnbuckle }).lengthPerTurnMm).toBeCloseTo(0.25, 12);
    expect(gapOf(0.7, { turnbuckle: { ...turnbuckle, leftHanded: true } }).lengthPerTurnMm).toBeCloseTo(2.25, 12);
  });

  property.prop([fc.double({ min: -1, max: 2, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true })])(
    'a rod changed as it is told leaves the gap aimed at, whatever the spacer',
    (gap, spacerMm) => {
      const before = gapOf(gap, { spacerMm, targetMm: 0.7 });
      expect(gapOf(gap - before.rodChangeMm, { spacerMm, targetMm: 0.7 }).gapMm).toBeCloseTo(0.7, 9);
    },
  );

  test.each<[string, object, readonly string[]]>([
    ['a window upside down', { window: { minMm: 1, maxMm: 1 } }, ['window.maxMm']],
    ['an aim outside the window', { window: { minMm: 0.4, maxMm: 1.1 }, targetMm: 1.2 }, ['targetMm']],
    ['rules that leave no window', { rules: { windowMinMm: 2, windowMaxMm: 1 } }, ['rules.windowMaxMm']],
    ['a rule’s aim outside', { rules: { gapTargetMm: 3 } }, ['rules.gapTargetMm']],
    [
      'all that is wrong at once',
      { master: {}, pedalRatio: 0 },
      ['master.rimStandOffMm', 'master.socketDepthMm', 'master.uMm', 'pedalRatio'],
    ],
  ])('%s is refused', async (_, more, paths) => {
    const body = {
      master: { rimStandOffMm: 5, socketDepthMm: 13, uMm: 0 },
      booster: { straightEdgeMm: 20, readingMm: 13, uMm: 0 },
      ...more,
    };
    const answer = await CALCULATIONS.get('setup')?.run(body, STANDARD_RULES);
    expect(answer?.ok === false && answer.error.map((p) => p.path)).toEqual(paths);
  });
});

describe('a change of bore', () => {
  const base = {
    pedalForceN: 300,
    pedalRatio: 4,
    masterDiaMm: 20,
    masterStrokeMm: 30,
    cylinders: [{ id: 'w', diaMm: 20, count: 4, travelMm: 1 }],
    options: [25],
  };
  test('equal pistons pass on the force at the rod, and move as far as their travels together', () => {
    const [row, wide] = hydraulics(base).rows;
    expect(row?.cylinders[0]?.forceN).toBeCloseTo(1200, 9);
    expect(row?.strokeUsedMm).toBeCloseTo(4, 9);
    expect(row?.pedalTravelMm).toBeCloseTo(16, 9);
    expect(row?.reservePct).toBeCloseTo((100 * 26) / 30, 9);
    // A wider master: less pressure by the ratio of areas, and less stroke by the same.
    expect(wide?.pressureMPa).toBeCloseTo((row?.pressureMPa ?? 0) * (20 / 25) ** 2, 9);
    expect(wide?.strokeUsedMm).toBeCloseTo(4 * (20 / 25) ** 2, 9);
  });

  test('air, hoses and fluid take stroke of their own; more than there is leaves less than none', () => {
    const [dry] = hydraulics(base).rows;
    const [air] = hydraulics({ ...base, airMl: 5 }).rows;
    const p = dry?.pressureMPa ?? 0;
    expect((air?.volumeMl ?? 0) - (dry?.volumeMl ?? 0)).toBeCloseTo((5 * p) / (p + 0.1013), 9);
    const [soft] = hydraulics({ ...base, hoseMlPerMPa: 0.1, systemVolumeMl: 150 }).rows;
    expect((soft?.volumeMl ?? 0) - (dry?.volumeMl ?? 0)).toBeCloseTo(0.2 * p, 9);
    expect(hydraulics({ ...base, airMl: 20 }).rows[0]?.reservePct).toBeLessThan(0);
  });
});

describe('the worksheet', () => {
  const sheet = { standOff: 4.8, socket: 12.9, edge: 20, reading: 12.5 };

  test('asks nothing before the four depths are there, and no more than was entered', () => {
    expect(gapQuestion({ ...sheet, reading: undefined })).toBeUndefined();
    expect(gapQuestion({ ...sheet, reading: 20.5, ratio: 3.9, pitch1: 1, rodAlpha: 23 })).toMatchObject({
      booster: { straightEdgeMm: 20, readingMm: 20.5, uMm: 0.02 },
      spacerMm: 0,
      pedalRatio: 3.9,
      thermal: null,
      turnbuckle: null,
      previous: null,
    });
  });

  test.each<[string, object, RegExp | undefined]>([
    ['readings that can be, the rod proud of the flange', {}, undefined],
    ['the same, the rod behind it', { reading: 20.5, socket: 5 }, undefined],
    ['a rod past the straight edge', { reading: 0 }, /lay the edge on two blocks/],
    ['an edge of no thickness', { edge: 0, reading: 1 }, /has a thickness/],
    ['a socket that ends before the flange', { socket: 3, reading: 25 }, /shallower than the rim/],
    ['a tip beyond the socket', { edge: 60, reading: 1 }, /read from another face/],
  ])('%s', (_, more, why) => {
    const said = impossibleReadings({ ...sheet, ...more });
    if (why === undefined) expect(said).toEqual([]);
    else expect(said.join(' ')).toMatch(why);
  });

  property.prop([
    fc.record(Object.fromEntries(GAP_FIELDS.map((f) => [f, fc.integer({ min: 10, max: 400_000 }).map((n) => n / 1000)])), {
      requiredKeys: [],
    }),
    fc.boolean(),
  ])('stands whole in its address', (some, oneLeftHanded) => {
    const all = { ...some, ...(oneLeftHanded ? { oneLeftHanded } : {}) };
    expect(gapSheetOf(Object.fromEntries(new URLSearchParams(gapQuery(all))))).toEqual(all);
  });

  test('says its sums in full, its verdict with its numbers, and which way to turn', () => {
    const question = gapQuestion({ ...sheet, reading: 13.9 + 6.5, pitch: 1, ratio: 4 }) as SetupInput;
    const answer = setup(question, { ...STANDARD_RULES, gapTargetMm: 0.7 });
    expect(answer.gapMm).toBeCloseTo(8.5, 9);
    expect(gapAsText(question, answer, { missing: [], apart: [] }, METRIC)).toBe(
      [
        'Pushrod gap, mm',
        '(socket 12.90 − rim 4.80) + spacer 0.00 + (reading 20.40 − edge 20.00) = 8.50',
        'uncertainty ± 0.10; window 0.40 to 1.10, aim 0.70',
        'Too loose: 8.50 mm is more than the 0.40 to 1.10 mm allowed: the pedal is lost to it.',
        'Lengthen the rod by 7.80 mm: 7.80 turns (46.8 flats) of its end, anticlockwise as seen from the tip, for a right-hand thread.',
        'lost at the pedal 34.00',
      ].join('\n'),
    );
    expect(sayTurns({ ...answer, rodChangeMm: -0.25, turns: 0.25 }, METRIC)).toMatch(
      /^Shorten the rod by 0\.25 mm: 0\.25 turns \(1\.5 flats\).* clockwise/,
    );
    expect(sayTurns({ ...answer, rodChangeMm: 0.001 }, METRIC)).toBeUndefined();
    const verdicts = ([-1, 0.1, 0.42, 0.75, 2] as const).map((gap) => sayVerdict(gapOf(gap), METRIC));
    expect(verdicts.map((v) => v.slice(0, 24))).toEqual([
      'There is no gap (-1.00 m',
      '0.10 mm is less than the',
      '0.42 mm lies in the wind',
      '0.75 ± 0.08 mm lies whol',
      '2.00 mm is more than the',
    ]);
  });
});
