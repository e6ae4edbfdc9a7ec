import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { cuttingRate, GRITS, type HonePass } from './cutting-rate';
import { type HonePlanInput, honePlan } from './hone-plan';
import { HonePlanRequest } from './hone-schema';
import { whyUnlikelyPass } from './unlikely-pass';

const input = (more: Partial<HonePlanInput> = {}): HonePlanInput => ({
  startDiaMm: 22.24,
  targetDiaMm: 22.285,
  limitDiaMm: 22.31,
  material: 'cast-iron',
  boreLengthMm: 64,
  blindEnd: true,
  stoneLengthMm: 24,
  rpm: 350,
  finish: 'cross-hatch',
  ...more,
});
const plan = (more: Partial<HonePlanInput> = {}, rules = STANDARD_RULES) => honePlan(input(more), rules);
const pass = (more: Partial<HonePass> = {}): HonePass => ({
  grit: 220,
  strokes: 30,
  strokesPerMin: 60,
  rpm: 350,
  beforeMm: 22.24,
  afterMm: 22.25,
  ...more,
});
const grits = (more: Partial<HonePlanInput>) => plan(more).stages.map((s) => s.grit);

describe('the stroke', () => {
  test('blind: one overrun, off the bottom by the relief; through: two overruns', () => {
    expect(plan()).toMatchObject({ overrunMm: 8, strokeLengthMm: 64 + 8 - 24 - 1, stopShortMm: 1 });
    expect(plan({ blindEnd: false })).toMatchObject({ strokeLengthMm: 64 + 16 - 24, stopShortMm: null });
    expect(plan({ reliefMm: 3 })).toMatchObject({ strokeLengthMm: 45, stopShortMm: 3, rulesUsed: { reliefMm: 3 } });
  });

  test('a stone that is too long reaches nothing: said so, with no figures of a hatch', () => {
    const p = plan({ stoneLengthMm: 120 });
    expect(p).toMatchObject({ outcome: 'unreachable', hatchGotDeg: null, strokesForHatchPerMin: null, suggestedRpm: null, stages: [] });
    expect(p.warnings.map((w) => w.code)).toEqual(['unreachable']);
  });

  test('stroking at the speed that it names gives the hatch that was wished', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 90, noNaN: true }), fc.double({ min: 50, max: 800, noNaN: true }), (hatchDeg, rpm) => {
        const strokes = plan({ hatchDeg, rpm }).strokesForHatchPerMin ?? 0;
        expect(plan({ hatchDeg, rpm, strokesPerMin: strokes }).hatchGotDeg).toBeCloseTo(hatchDeg, 8);
      }),
    );
  });

  test('where no arm follows, a turning speed is named that gives the hatch at sixty', () => {
    const fast = plan({ rpm: 900, hatchDeg: 45 });
    expect(fast.warnings.map((w) => w.code)).toContain('strokes-too-fast');
    expect(plan({ rpm: fast.suggestedRpm ?? 0, hatchDeg: 45, strokesPerMin: 60 }).hatchGotDeg).toBeCloseTo(45, 8);
    expect(plan().suggestedRpm).toBeNull();
  });
});

describe('the outcome', () => {
  test.each<[string, Partial<HonePlanInput>, string]>([
    ['to be cut', {}, 'cut'],
    ['within a micrometre of the target', { startDiaMm: 22.284 }, 'on-size'],
    ['a little more to go', { startDiaMm: 22.2839 }, 'cut'],
    ['on the limit is not past it', { startDiaMm: 22.31 }, 'on-size'],
    ['past the limit goes before all else', { startDiaMm: 22.3101, stoneLengthMm: 120 }, 'past-limit'],
    ['the last pass counts, not the start', { passes: [pass({ afterMm: 22.285 })] }, 'on-size'],
  ])('%s', (_, more, outcome) => {
    const p = plan(more);
    expect(p.outcome).toBe(outcome);
    expect(p.stages.length > 0).toBe(outcome === 'cut');
  });
});

describe('the stages', () => {
  test.each<[string, Partial<HonePlanInput>, readonly number[]]>([
    ['much to take: the coarsest first', {}, [180, 220, 320, 400]],
    ['forty micrometres and no more: without it', { startDiaMm: 22.245 }, [220, 320, 400]],
    ['a fine finish', { startDiaMm: 22.26, finish: 'fine' }, [220, 400, 600]],
    ['an anodised skin takes the finest only', { material: 'alloy-anodised' }, [600]],
    ['little left: what is not worth a change of stones falls to the next', { startDiaMm: 22.28 }, [400]],
    ['not back to a coarser grit for ten micrometres', { passes: [pass({ grit: 320, afterMm: 22.269 })] }, [320, 400]],
    ['but back for more', { passes: [pass({ grit: 320, afterMm: 22.265 })] }, [220, 320, 400]],
  ])('%s', (_, more, sequence) => expect(grits(more)).toEqual(sequence));

  test('they follow on from each other, end on the target, and gauge before half-way', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 22.2, max: 22.283, noNaN: true }),
        fc.constantFrom('cross-hatch' as const, 'fine' as const),
        (startDiaMm, finish) => {
          const { stages } = plan({ startDiaMm, finish });
          expect([stages[0]?.fromMm, stages.at(-1)?.toMm]).toEqual([startDiaMm, 22.285]);
          stages.slice(1).forEach((s, i) => {
            expect(s.fromMm).toBe(stages[i]?.toMm);
          });
          for (const s of stages) {
            const cutUm = (s.strokes * (350 / 60) * s.umPer100Turns) / 100;
            expect(cutUm).toBeGreaterThanOrEqual((s.toMm - s.fromMm) * 1000 - 1e-6);
            // Nothing is known of the stones yet: less than half of it.
            expect(s.gaugeAfterStrokes).toBe(Math.max(1, Math.floor(s.strokes / 2.2 + 1e-9)));
            expect(s.seconds).toBe(s.strokes);
          }
        },
      ),
    );
  });

  test('hundreds of strokes at one grit are told', () => {
    const p = plan({ material: 'alloy-anodised' });
    expect(p.warnings).toEqual([{ code: 'slow', text: `${p.stages[0]?.strokes} strokes at 600: a coarser grit first would be quicker.` }]);
  });
});

describe('the cutting rate', () => {
  test('the table and the shop’s passes meet by their turns', () => {
    // 30 strokes at 350/60 are 175 turns; 10 µm off: (230 · 0.075 + 10) / 405 · 100
    expect(cuttingRate(220, 'cast-iron', [pass()], 230)).toEqual({
      umPer100Turns: expect.closeTo((100 * (17.25 + 10)) / 405, 12),
      tableShare: expect.closeTo(230 / 405, 12),
    });
    expect(cuttingRate(220, 'cast-iron', [pass({ grit: 400 })], 230)).toEqual({ umPer100Turns: 7.5, tableShare: 1 });
    expect(cuttingRate(220, 'alloy', [], 230).umPer100Turns).toBeCloseTo(12, 12);
  });

  test('a pass that took nothing off counts as nothing, and is told; without any weight the table stands in', () => {
    const idle = pass({ afterMm: 22.239 });
    expect(cuttingRate(220, 'cast-iron', [idle], 230).umPer100Turns).toBeCloseTo((100 * 17.25) / 405, 12);
    expect(plan({ passes: [pass(), idle] }).warnings).toMatchObject([{ code: 'no-removal', text: expect.stringContaining('Pass 2') }]);
    for (const grit of GRITS) expect(cuttingRate(grit, 'cast-iron', [], 0).umPer100Turns).toBeGreaterThan(0);
    expect(cuttingRate(220, 'cast-iron', [idle], 0).umPer100Turns).toBe(7.5);
  });
});

test('the schema refuses what cannot be, all of it at once', () => {
  const result = HonePlanRequest.safeParse({ ...input(), rpm: 0, material: 'wood', passes: [{ ...pass(), grit: 240 }] });
  expect(result.success ? [] : result.error.issues.map((i) => i.path.join('.'))).toEqual(['material', 'rpm', 'passes.0.grit']);
});

describe('a pass that cannot have been', () => {
  const pass = { grit: 220, strokes: 20, strokesPerMin: 60, rpm: 450, beforeMm: 22.24, tool: 'stone' } as const;
  // By hand: 20 strokes at 60 a minute and 450 turns are 150 turns; the table's 7.5 µm per 100 turns give 11 µm, and six times that is 67;
  // the gauge's 5 and a body 40 K warmer than said, 22.3 mm · 11e-6 · 40 = 10 µm, may add to it.
  test.each<[string, number, RegExp | undefined]>([
    ['as the table says', 22.251, undefined],
    ['six times as fast', 22.305, undefined],
    ['more than stones can take off', 22.34, /^100 µm in 20 strokes is more than stones of this grit can take off \(8\d µm\)/],
    ['a little smaller: the gauge', 22.237, undefined],
    ['smaller', 22.22, /^It reads 20 µm smaller than before the pass/],
  ])('%s', (_, afterMm, says) => {
    const slip = whyUnlikelyPass({ ...pass, afterMm }, 'cast-iron');
    if (says === undefined) expect(slip).toBeUndefined();
    else expect(slip).toMatch(says);
  });
  test('paper takes the gloss off and little else', () =>
    expect(whyUnlikelyPass({ ...pass, tool: 'paper', afterMm: 22.34 }, 'alloy')).toMatch(
      /^100 µm in 20 strokes is more than this can take off/,
    ));
});
