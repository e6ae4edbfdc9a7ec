import { describe, expect, test } from 'vitest';
import { gaugeBore } from '../gauge/gauge';
import { STANDARD_RULES } from '../rules/rule-set';
import type { HonePass } from './cutting-rate';
import { honePlan } from './hone-plan';
import { readingsIn } from './simulate';
import { cutsOfPasses, cutsOfPlan, offBy, predictedForm, type SimulationFrame, type SimulationInput, simulation } from './simulation';

const stations = gaugeBore(
  {
    readings: [5, 20, 40, 57].flatMap((xMm) => [0, 45, 90, 135].map((clockDeg) => ({ xMm, clockDeg, diaMm: 22.24 }))),
    material: 'cast-iron',
    bodyTempC: null,
    gaugeTempC: null,
  },
  STANDARD_RULES,
).stations;
const stroke = { stoneLengthMm: 24, overrunMm: 8, strokeMm: 62 + 16 - 24 };
const depths = stations.map((s) => s.xMm);
const run = (cuts: SimulationInput['cuts'], strokesAFrame = 7, mm = 22.27): readonly SimulationFrame[] => [
  ...simulation({ stations, lengthMm: 62, stroke, shortShare: 0, cuts, narrowest: { atMm: depths, mm } }, strokesAFrame),
];
/** The narrowest mean at the depths that were gauged, as a gauge would read it. */
const narrowest = (f: SimulationFrame | undefined): number =>
  Math.min(
    ...gaugeBore(
      { readings: f === undefined ? [] : readingsIn(f.field, depths, [0, 45, 90, 135]), material: 'cast-iron' },
      STANDARD_RULES,
    ).stations.map((s) => s.meanMm),
  );
const meanOf = (f: SimulationFrame | undefined): number =>
  (f?.profile.meanMm ?? []).reduce((a, b) => a + b, 0) / (f?.profile.meanMm.length ?? 1);

describe('a simulated plan', () => {
  const plan = honePlan(
    {
      startDiaMm: 22.24,
      targetDiaMm: 22.27,
      limitDiaMm: 22.31,
      material: 'cast-iron',
      boreLengthMm: 62,
      blindEnd: false,
      stoneLengthMm: 24,
      rpm: 450,
      finish: 'cross-hatch',
    },
    STANDARD_RULES,
  );

  test('brings the narrowest place in the lanes to the target, and the bore as a whole past it', () => {
    const frames = run(cutsOfPlan(plan, 450 / 60));
    expect(narrowest(frames.at(-1))).toBeCloseTo(22.27, 3);
    expect(meanOf(frames.at(-1))).toBeGreaterThan(22.271);
    expect(frames.at(-1)?.strokes).toBe(plan.stages.reduce((sum, s) => sum + s.strokes, 0));
  });

  test('is told stroke by stroke, never going back, and the same however often it is shown', () => {
    const cuts = cutsOfPlan(plan, 450 / 60);
    const frames = run(cuts, 5);
    expect(frames[0]).toMatchObject({ strokes: 0, of: frames.at(-1)?.of });
    frames.slice(1).forEach((f, i) => {
      expect(f.strokes).toBeGreaterThan((frames[i] as SimulationFrame).strokes);
      expect(meanOf(f)).toBeGreaterThan(meanOf(frames[i]));
    });
    expect(Array.from(run(cuts, 1).at(-1)?.field.radiusMm ?? []).slice(0, 50)).toEqual(
      Array.from(run(cuts, 400).at(-1)?.field.radiusMm ?? []).slice(0, 50),
    );
  });

  test('ends in a form as a gauge would find it at the depths that were gauged', () => {
    const last = run(cutsOfPlan(plan, 450 / 60)).at(-1) as SimulationFrame;
    const form = predictedForm(last.field, depths, 'cast-iron', STANDARD_RULES);
    const gauged = gaugeBore(
      { readings: readingsIn(last.field, depths, [0, 45, 90, 135]), material: 'cast-iron', bodyTempC: null, gaugeTempC: null },
      STANDARD_RULES,
    );
    expect(form).toEqual({
      shape: gauged.shape,
      taperToward: gauged.taperToward,
      taperMm: gauged.taperMm,
      ovalityMm: gauged.ovalityMaxMm,
      maxMm: gauged.maxMm,
    });
    expect(offBy(gauged.stations, last.profile)).toBeLessThan(1e-4);
  });
});

test('passes that were made take off what they took; one that took nothing takes nothing', () => {
  const pass = (beforeMm: number, afterMm: number): HonePass => ({
    grit: 220,
    strokes: 20,
    strokesPerMin: 60,
    rpm: 450,
    beforeMm,
    afterMm,
  });
  const cuts = cutsOfPasses([pass(22.24, 22.25), pass(22.25, 22.249), { ...pass(22.25, 22.26), strokes: 0 }]);
  expect(cuts.map((c) => [c.strokes, c.turnsPerStroke])).toEqual([
    [20, 7.5],
    [20, 7.5],
  ]);
  expect(narrowest(run(cuts, 7, 22.25).at(-1))).toBeCloseTo(22.25, 3);
});
