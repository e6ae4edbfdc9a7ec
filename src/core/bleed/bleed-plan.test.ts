import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CALCULATIONS } from '../api/compute';
import { STANDARD_RULES } from '../rules/rule-set';
import { bleedPlan } from './bleed-plan';
import { BleedRequest } from './bleed-schema';

const master = { boreMm: 20, strokeMm: 25, reservoirMl: 150, reservoirMinMl: 50 };
const trunk = { id: 'trunk', from: 'out', to: 'tee', lengthMm: 1000, innerMm: 4 };
const near = { id: 'near', from: 'tee', to: 'n', lengthMm: 400, innerMm: 4 };
const far = { id: 'far', from: 'tee', to: 'f', lengthMm: 1600, innerMm: 4 };
const ends = [
  { id: 'N', at: 'n', volumeMl: 10 },
  { id: 'F', at: 'f', volumeMl: 10 },
];
const base = { master, lines: [trunk, near, far], ends };
const plan = (more: object = {}) => bleedPlan(BleedRequest.parse({ ...base, ...more }), STANDARD_RULES);
const wrong = async (request: object): Promise<readonly string[]> => {
  const answer = await CALCULATIONS.get('bleed-plan')?.run(request, STANDARD_RULES);
  return answer === undefined || answer.ok ? [] : answer.error.map((e) => e.path);
};

describe('the plan, by hand', () => {
  test('a tube of 4 mm holds 4π ml a metre; the trunk counts for whoever comes first', () => {
    const m = 4 * Math.PI;
    const of = (p: ReturnType<typeof plan>) => p.order.map((s) => [s.endId, s.pathMm, s.lineMl]);
    expect(of(plan())).toEqual([
      ['F', 2600, expect.closeTo(2.6 * m, 9)],
      ['N', 1400, expect.closeTo(0.4 * m, 9)],
    ]);
    expect(of(plan({ order: 'nearest-first' }))).toEqual([
      ['N', 1400, expect.closeTo(1.4 * m, 9)],
      ['F', 2600, expect.closeTo(1.6 * m, 9)],
    ]);
    expect(plan({ order: 'given', given: ['N', 'F'] }).order.map((s) => s.endId)).toEqual(['N', 'F']);
  });

  test('strokes are whole, of nine tenths of the master; the reservoir gives so many, less one that is kept back', () => {
    const p = plan();
    // 0.9 · π/4 · 20² · 25 mm³ = 7.0686 ml. F: 2·(32.673 + 10) = 85.35 ml: 13 strokes. 100 ml give 14, less 1.
    expect(p.mlPerStroke).toBeCloseTo(7.0685835, 6);
    expect([p.order[0]?.strokes, p.topUpEvery, p.order[0]?.topUps]).toEqual([13, 13, 0]);
    expect(plan({ rules: { spareStrokes: 2 } }).order[0]?.topUps).toBe(0);
    const kept = bleedPlan(BleedRequest.parse(base), { ...STANDARD_RULES, spareStrokes: 8 });
    expect([kept.topUpEvery, kept.order[0]?.topUps]).toEqual([6, 2]);
  });

  test('strokes that come out even are not one more for the noise of the sum', () => {
    // A stroke of 9 ml by a bore whose area is 100 mm² at 100 mm; 2·9·5 = 90 ml are ten of them.
    const boreMm = Math.sqrt(400 / Math.PI);
    const p = plan({ master: { ...master, boreMm, strokeMm: 100 }, lines: [], ends: [{ id: 'a', at: 'x', volumeMl: 45 }] });
    expect([p.order[0]?.strokes, p.order[0]?.pathMm, p.order[0]?.gravityMlPerMin, p.order[0]?.vacuumMinutes]).toEqual([10, 0, null, null]);
    expect(p.methods.map((m) => m.minutes)).toEqual([null, 0.5, null]);
  });

  test('gravity by Hagen and Poiseuille: 2.6 m of 4 mm under 0.5 m of fluid', () => {
    const p = plan({ ends: [{ ...ends[1], dropMm: 500 }] });
    // Δp = 1060·9.80665·0.5 = 5197.5 Pa; Q = π·Δp·r⁴/(8·µ·L) = π·5197.5·1.6e-11/(8·0.016·2.6) m³/s = 47.1 ml/min.
    const ml = ((Math.PI * 1060 * 9.80665 * 0.5 * 0.002 ** 4) / (8 * 0.016 * 2.6)) * 6e7;
    expect(p.order[0]?.gravityMlPerMin).toBeCloseTo(ml, 9);
    expect(p.order[0]?.vacuumMlPerMin).toBeCloseTo((ml * (5197.5245 + 60_000)) / 5197.5245, 5);
    expect(p.methods[0]?.minutes).toBeCloseTo((p.order[0]?.flushMl ?? 0) / ml, 9);
  });

  test('what is minded, in its order: each end, then the reservoir and the fluid', () => {
    const p = plan({
      master: { ...master, reservoirMinMl: 149 },
      ends: [
        { ...ends[0], dropMm: 1, screwOnTop: false },
        { ...ends[1], dropMm: 0 },
      ],
      fluidIn: 'dot4',
      fluidFresh: 'mineral',
    });
    expect(p.warnings.map((w) => [w.code, w.endId])).toEqual([
      ['no-drop', 'F'],
      ['gravity-slow', 'N'],
      ['screw-low', 'N'],
      ['reservoir-small', null],
      ['does-not-mix', null],
    ]);
    expect([p.topUpEvery, p.topUps, p.order[0]?.gravityMinutes]).toEqual([null, null, null]);
    for (const fluidFresh of ['dot3', 'dot4', 'dot5.1']) expect(plan({ fluidIn: 'dot4', fluidFresh }).warnings).toEqual([]);
  });

  test('the reservoir is renewed unless it is not', () => {
    expect(plan().freshMl - plan({ renewReservoir: false }).freshMl).toBeCloseTo(150, 9);
  });
});

describe('what is refused, each at its place', () => {
  test.each([
    [{ lines: [trunk, near, far, { ...far, id: 'x', from: 'n' }] }, ['lines[3].to']],
    [{ lines: [trunk, near, far, { ...far, id: 'x', to: 'tee2', from: 'tee2' }] }, ['lines[3].from']],
    [
      { lines: [trunk, near, far, { ...far, id: 'x', from: 'a', to: 'b' }, { ...far, id: 'y', from: 'b', to: 'a' }] },
      ['lines[3].from', 'lines[4].from'],
    ],
    [{ lines: [trunk, near, { ...far, id: 'near' }] }, ['lines[2].id']],
    [{ ends: [ends[0], { ...ends[1], at: 'nowhere' }] }, ['ends[1].at']],
    [{ ends: [ends[0], { ...ends[1], id: 'N' }] }, ['ends[1].id']],
    [{ order: 'given' }, ['given']],
    [{ order: 'given', given: ['N', 'N', 'Z'] }, ['given[1]', 'given[2]', 'given']],
    [{ given: ['N', 'F'] }, ['given']],
    [{ master: { ...master, reservoirMinMl: 150 } }, ['master.reservoirMinMl']],
    [{ rules: { spareStrokes: 1.5 } }, ['rules.spareStrokes']],
    [{ rules: { strokeFill: 0 } }, ['rules.strokeFill']],
    [{ ends: [] }, ['ends']],
  ])('%j', async (more, paths) => expect([...(await wrong({ ...base, ...more }))].sort()).toEqual([...paths].sort()));

  test('with one thing wrong in a line the rest is still looked at', async () => {
    expect(await wrong({ ...base, lines: [trunk, { ...near, lengthMm: '400' }, far], ends: [{ ...ends[0], at: 'q' }] })).toEqual(
      expect.arrayContaining(['lines[1].lengthMm', 'ends[0].at']),
    );
  });
});

test('however many lines are sent, they are refused at once', async () => {
  const lines = Array.from({ length: 40_000 }, (_, i) => ({ ...far, id: `l${i}`, from: `n${i}`, to: `n${i + 1}` }));
  const start = performance.now();
  expect(await wrong({ ...base, lines })).toContain('lines');
  // Gone through each for each it would be minutes.
  expect(performance.now() - start).toBeLessThan(10_000);
});

test('whatever the order, the lines are filled once, and the fluid is what turnover makes of all that stands in them', () => {
  const tree = fc.integer({ min: 1, max: 12 }).chain((n) =>
    fc.record({
      parents: fc.tuple(...Array.from({ length: n }, (_, i) => fc.integer({ min: 0, max: i }))),
      order: fc.constantFrom('longest-first', 'nearest-first'),
    }),
  );
  fc.assert(
    fc.property(tree, ({ parents, order }) => {
      const lines = parents.map((p, i) => ({
        id: `l${i}`,
        from: `n${p}`,
        to: `n${i + 1}`,
        lengthMm: 100 * (1 + ((i * 7) % 5)),
        innerMm: 3,
      }));
      const all = lines.map((l, i) => ({ id: `e${i}`, at: l.to, volumeMl: i }));
      const p = plan({ lines, ends: all, order });
      const inLines = lines.reduce((sum, l) => sum + ((Math.PI / 4) * 9 * l.lengthMm) / 1000, 0);
      expect(p.order.reduce((sum, s) => sum + s.lineMl, 0)).toBeCloseTo(inLines, 6);
      expect(p.flushMl).toBeCloseTo(2 * (inLines + all.reduce((sum, e) => sum + e.volumeMl, 0)), 6);
      const lengths = p.order.map((s) => s.pathMm);
      expect(lengths).toEqual([...lengths].sort((a, b) => (order === 'nearest-first' ? a - b : b - a)));
    }),
    { numRuns: 80 },
  );
});
