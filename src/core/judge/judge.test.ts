import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { gaugeBore } from '../gauge/gauge';
import { STANDARD_RULES } from '../rules/rule-set';
import { leftOfDepth } from './after-cut';
import { type JudgeInput, judgeBore } from './judge';
import type { Mark } from './mark';

const example = JSON.parse(readFileSync(new URL('../../../docs/contracts/judge.example.json', import.meta.url), 'utf8'))
  .request as JudgeInput;
const mark = (more: Partial<Mark>): Mark => ({
  id: 'm',
  kind: 'pit',
  x0Mm: 38,
  x1Mm: 39,
  clock0Deg: 0,
  clock1Deg: 5,
  // Known exactly; where nobody says how well, it is told.
  depthUncertaintyUm: 0,
  cleaned: true,
  ...more,
});
const judge = (more: Partial<JudgeInput>) => judgeBore({ ...example, marks: [], ...more }, STANDARD_RULES);
const one = (m: Partial<Mark>, more: Partial<JudgeInput> = {}) => judge({ marks: [mark(m)], ...more }).marks[0];

describe('a mark, by where it lies and how deep it is', () => {
  test.each<[string, Partial<Mark>, Partial<JudgeInput>, string]>([
    ['a crack anywhere', { kind: 'crack', x0Mm: 5, x1Mm: 6 }, {}, 'scrap'],
    ['a pit clear of all lanes', { x0Mm: 5, x1Mm: 6, depthUm: 300 }, {}, 'reuse'],
    ['a ridge at the mouth', { kind: 'ridge', x0Mm: 1, x1Mm: 3 }, {}, 'polish'],
    ['a ridge past the deepest lane', { kind: 'ridge', x0Mm: 53, x1Mm: 53.5 }, {}, 'reuse'],
    ['the same in a through bore', { kind: 'ridge', x0Mm: 53, x1Mm: 53.5 }, { family: 'wheel-double' }, 'polish'],
    ['a dirty pit', { cleaned: false, depthUm: 3 }, {}, 'undecided'],
    ['a pit of unknown depth', {}, {}, 'undecided'],
    ['a cleaned stain', { kind: 'stain' }, {}, 'reuse'],
    ['swept, 5 µm may stay', { depthUm: 5 }, {}, 'polish'],
    ['swept, 5 µm and its uncertainty may not', { depthUm: 5, depthUncertaintyUm: 1 }, {}, 'hone'],
    ['swept, 2 µm and the 3 µm that count where none is stated may', { depthUm: 2, depthUncertaintyUm: null }, {}, 'polish'],
    ['swept, 2.1 µm and 3 µm of doubt: how well is it known?', { depthUm: 2.1, depthUncertaintyUm: null }, {}, 'undecided'],
    ['the same, stated to be exact', { depthUm: 2.1 }, {}, 'polish'],
    ['5.1 µm is too deep, known or not', { depthUm: 5.1, depthUncertaintyUm: null }, {}, 'hone'],
    [
      'under a static seal, 17 µm and a fifth of it: how well?',
      { x0Mm: 55, x1Mm: 56, depthUm: 17, depthUncertaintyUm: null },
      {},
      'undecided',
    ],
    ['under a static seal, 16.6 µm and a fifth of it', { x0Mm: 55, x1Mm: 56, depthUm: 16.6, depthUncertaintyUm: null }, {}, 'polish'],
    ['parked, 5 µm may not', { x0Mm: 33, x1Mm: 34, depthUm: 5 }, {}, 'hone'],
    ['touching the parked band at its very edge', { x0Mm: 35.25, x1Mm: 36, depthUm: 5 }, {}, 'hone'],
    ['too deep to cut out', { depthUm: 40 }, {}, 'sleeve'],
    ['the same with a thin wall', { depthUm: 40 }, { bore: { ...example.bore, wallMm: 2.9 } }, 'scrap'],
    ['sleeve-first', { depthUm: 6 }, { school: 'sleeve-first' }, 'sleeve'],
    ['keep-the-skin, 2 × 3 µm polishes out where 2 may stay', { x0Mm: 33, x1Mm: 34, depthUm: 3 }, { school: 'keep-the-skin' }, 'polish'],
    ['keep-the-skin, deeper', { depthUm: 6 }, { school: 'keep-the-skin' }, 'sleeve'],
    ['lost anodising where the skin is kept', { kind: 'lost-anodising' }, { material: 'alloy-anodised', school: null }, 'sleeve'],
    [
      'lost anodising under a static seal',
      { kind: 'lost-anodising', x0Mm: 55, x1Mm: 56 },
      { material: 'alloy-anodised', school: null },
      'polish',
    ],
    ['a static seat is never honed', { x0Mm: 55, x1Mm: 56, depthUm: 21 }, {}, 'sleeve'],
    ['without readings a shallow one is still polished', { depthUm: 4 }, { readings: null }, 'polish'],
    ['without readings a deeper one waits', { depthUm: 14 }, { readings: null }, 'undecided'],
  ])('%s', (_, m, more, outcome) => expect(one(m, more)?.outcome).toBe(outcome));

  test('a pit on the long axis counts from the high, interpolated between stations', () => {
    // At 46, halfway between the stations at 42 and 50, plus 2 × (10 + 5) µm.
    const highAt = (xMm: number) => judge({}).gauge?.stations.find((s) => s.xMm === xMm)?.highMm ?? Number.NaN;
    expect(one({ x0Mm: 46, x1Mm: 46, depthUm: 10 })?.needsDiaMm).toBeCloseTo((highAt(42) + highAt(50)) / 2 + 0.03, 9);
  });
});

describe('a mark measured before a cut', () => {
  const before = { beforeCut: { expectedUm: 0 }, depthUm: 11 };
  test.each<[string, Partial<Mark>, string]>([
    ['in a lane counts as undecided, however deep it was', before, 'undecided'],
    ['and so does one that only had to be polished', { ...before, depthUm: 2 }, 'undecided'],
    ['clear of all lanes it may stay, then as now', { ...before, x0Mm: 5, x1Mm: 6 }, 'reuse'],
    ['a crack does not go away', { ...before, kind: 'crack' }, 'scrap'],
  ])('%s', (_, m, outcome) => expect(one(m)?.outcome).toBe(outcome));

  const stations = (diaMm: number) =>
    gaugeBore({ material: 'cast-iron', readings: [20, 50].map((xMm) => ({ xMm, clockDeg: 0, diaMm })) }, STANDARD_RULES).stations;
  test.each([
    // By hand: 22.24 to 22.286 takes 23 µm off the wall; 22.24 to 22.25 takes 5.
    [11, 22.286, 0],
    [11, 22.25, 6],
    [30, 22.286, 7],
  ])('%d µm in 22.24, cut to %d: %d µm should be left', (depthUm, cutMm, leftUm) => {
    expect(leftOfDepth({ depthUm, x0Mm: 30, x1Mm: 31 }, stations(22.24), stations(cutMm))).toBeCloseTo(leftUm, 6);
  });

  test('of a depth that nobody measured nothing is expected', () =>
    expect(leftOfDepth({ x0Mm: 30, x1Mm: 31 }, stations(22.24), stations(22.25))).toBeNull());
});

describe('two pistons in one bore', () => {
  // A wheel cylinder of 22.225 in cast iron: each piston may have 0.13 mm of play, worked out by hand.
  const seals = (leftMm: number, rightMm: number) => [
    { id: 'left-cup', role: 'pressure' as const, restXMm: 24, contactMm: 2.5, travelMm: -6, pistonDiaMm: leftMm },
    { id: 'right-cup', role: 'pressure' as const, restXMm: 38, contactMm: 2.5, travelMm: 6, pistonDiaMm: rightMm },
  ];
  const through = (leftMm: number, rightMm: number, diaAt: (xMm: number) => number, more: Partial<JudgeInput> = {}) =>
    judge({
      family: 'wheel-double',
      material: 'cast-iron',
      bore: { lengthMm: 62, nominalMm: 22.225 },
      pistonDiaMm: Math.max(leftMm, rightMm),
      seals: seals(leftMm, rightMm),
      readings: [16, 21, 26, 36, 41, 46].flatMap((xMm) => [0, 45, 90, 135].map((clockDeg) => ({ xMm, clockDeg, diaMm: diaAt(xMm) }))),
      bodyTempC: 20,
      gaugeTempC: 20,
      school: 'hone-to-limit',
      ...more,
    });

  test('22.16 and 22.10: a bore that the larger would pass is too wide for the smaller, and its lane is named', () => {
    const answer = through(22.16, 22.1, () => 22.245);
    expect([answer.outcome, answer.limitDiaMm]).toEqual(['sleeve', 22.1 + 0.13]);
    expect(answer.decides).toMatchObject({ sealId: 'right-cup', pistonDiaMm: 22.1, highMm: 22.245 });
    expect(answer.reasons[0]).toMatch(
      /^Worn out as it is: 22\.245 mm at its widest under the right cup seal, .*past the limit of 22\.230 mm\.$/,
    );
    expect(through(22.16, 22.16, () => 22.245)).not.toHaveProperty('decides');
    expect(through(22.16, 22.16, () => 22.245).outcome).toBe('reuse');
  });

  test('a bore worn only where the larger one runs may stay: each lane has its own limit', () => {
    const worn = (xMm: number) => (xMm < 31 ? 22.235 : 22.215);
    expect(through(22.16, 22.1, worn).outcome).toBe('reuse');
    expect(through(22.1, 22.16, worn)).toMatchObject({ outcome: 'sleeve', decides: { sealId: 'left-cup' } });
  });

  test('a cut goes through both lanes, so the lesser limit is the target’s', () => {
    const marks = [mark({ x0Mm: 22, x1Mm: 23, depthUm: 12 })];
    expect(through(22.16, 22.16, () => 22.21, { marks }).outcome).toBe('hone');
    expect(through(22.16, 22.1, () => 22.21, { marks })).toMatchObject({ outcome: 'sleeve', limitDiaMm: 22.23 });
  });

  test('a piston that does not pass its own lane is asked for again', () => {
    const answer = through(22.16, 22.21, () => 22.205);
    expect(answer.toDo.map((t) => t.text)).toEqual([
      'Measure the piston that carries the right cup seal again: 22.210 mm does not pass a bore of 22.205 mm.',
    ]);
  });
});

describe('the whole bore', () => {
  test('clean, gauged, inside the limit: reuse', () => expect(judge({}).outcome).toBe('reuse'));

  test('a certain sleeve is not held back by open questions', () => {
    const answer = judge({ marks: [mark({ depthUm: 40 }), mark({ id: 'n', cleaned: false })] });
    expect([answer.outcome, answer.targetDiaMm, answer.toDo.map((t) => 'markId' in t && t.markId)]).toEqual(['sleeve', null, ['n']]);
  });

  test('an undecided bore keeps the target that its other marks ask for', () => {
    const answer = judge({ marks: [mark({ depthUm: 9 }), mark({ id: 'n', cleaned: false })] });
    expect([answer.outcome, answer.targetDiaMm]).toEqual(['undecided', 20.695]);
  });

  test('worn past the limit as it is', () => expect(judge({ pistonDiaMm: 20.54 }).outcome).toBe('sleeve'));

  test('ungauged: every moving lane is asked for', () => {
    const answer = judge({ readings: [] });
    expect([answer.outcome, answer.gauge, answer.toDo.map((t) => 'sealId' in t && t.sealId)]).toEqual([
      'undecided',
      null,
      ['primary', 'secondary'],
    ]);
  });

  test('gauged across one diameter only: the lanes are asked for again', () => {
    const answer = judge({ readings: (example.readings ?? []).filter((r) => r.clockDeg === 0) });
    expect(answer.toDo.map((t) => [t.what, 'sealId' in t && t.sealId])).toEqual([
      ['gauge', 'primary'],
      ['gauge', 'secondary'],
    ]);
  });

  test('a piston that does not pass', () => expect(judge({ pistonDiaMm: 20.66 }).toDo.map((t) => t.what)).toEqual(['check-piston']));

  test.each([
    ['hone-to-limit', 'hone'],
    ['keep-the-skin', 'undecided'],
    ['sleeve-first', 'sleeve'],
  ] as const)('out of form under %s: %s', (school, outcome) => {
    const readings = (example.readings ?? []).map((r) => ({ ...r, diaMm: r.diaMm + (r.clockDeg === 90 ? 0.03 : 0) }));
    const answer = judge({ readings, school });
    expect(answer.outcome).toBe(outcome);
    expect(answer.formDiaMm).not.toBeNull();
  });

  test('a single misreading of 0.14 mm is a question, not a sleeve; a crack is scrap all the same', () => {
    const at = (example.readings ?? []).findIndex((r) => r.xMm === 34 && r.clockDeg === 45);
    const readings = (example.readings ?? []).map((r, i) => (i === at ? { ...r, diaMm: r.diaMm + 0.14 } : r));
    const answer = judge({ readings, marks: [mark({ depthUm: 9 })] });
    expect([answer.outcome, answer.targetDiaMm, answer.marginMm, answer.toDo.map((t) => [t.what, t.xMm])]).toEqual([
      'undecided',
      null,
      null,
      [['gauge-again', [34]]],
    ]);
    // The form, the marks and the reasons are those of all readings.
    expect(answer.formDiaMm).toBeGreaterThan(20.73);
    expect(judge({ readings, marks: [mark({ kind: 'crack' })] }).outcome).toBe('scrap');
  });

  test('a bend of the form between depths holds back what is only just inside; other depths decide it', () => {
    // Highs that rise 60 µm from 23 to 34 mm: the bend at 30 hides up to 2·s.
    const wide = (xMm: number): number => (xMm === 34 ? 0.06 : 0);
    const readings = (example.readings ?? []).map((r) => ({ ...r, diaMm: r.diaMm + wide(r.xMm) }));
    const asked = judge({ readings, bore: { ...example.bore, nominalMm: 20.6 }, school: 'keep-the-skin' });
    expect(asked.formDoubtMm).toBeGreaterThan(0.01);
    const high = asked.gauge?.maxMm ?? Number.NaN;
    const reached = (limitMm: number) => judge({ readings, makersLimit: { maxDiaMm: limitMm, source: 'Manual' }, school: 'hone-to-limit' });
    const target = Math.ceil((high - 1e-9) * 200) / 200;
    const held = reached(target + 0.0046);
    expect([held.outcome, held.targetDiaMm, held.toDo.map((t) => [t.what, t.sealId, t.xMm])]).toEqual([
      'undecided',
      expect.closeTo(target, 9),
      [['gauge', undefined, [32, 38]]],
    ]);
    // Φ of 4.6 µm over what the gauge and the bend leave open, worked by hand from s.
    const s = held.formDoubtMm ?? Number.NaN;
    expect(held.confidence).toBeCloseTo(0.5 + (0.3989 * 0.0046) / Math.hypot(0.002236, s), 2);
    expect(reached(target + 0.1).outcome).toBe('hone');
    expect(reached(target + 0.004).outcome).toBe('sleeve');
  });

  test('every reason can be read to a customer: a sentence', () => {
    const answer = judge({ marks: [mark({ depthUm: 40 }), mark({ id: 'n', kind: 'score', cleaned: true })] });
    for (const text of [...answer.reasons, ...answer.marks.map((m) => m.reason), ...answer.toDo.map((t) => t.text)])
      expect(text).toMatch(/^[A-Z].*[.]$/);
  });
});
