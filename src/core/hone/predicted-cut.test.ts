import { describe, expect, test } from 'vitest';
import { masterTandem } from '../family/anatomy/master-tandem';
import { wheelDouble } from '../family/anatomy/wheel-double';
import { type Drawing, geometryAt } from '../family/family';
import { laneOf } from '../family/lane';
import { suggestDepths } from '../gauge/suggest-grid';
import { METRIC } from '../quantity/units';
import { STANDARD_RULES } from '../rules/rule-set';
import { honePlan } from './hone-plan';
import { type PredictionInput, predictCut } from './predicted-cut';
import { sayHelp } from './say-help';
import { cutsOfPlan } from './simulation';

const [START, TARGET] = [22.236, 22.25];

/** An even bore of a family, cut as planned. */
const cutOf = (drawing: Drawing, blindEnd: boolean): PredictionInput => {
  const g = geometryAt(drawing, 22.225);
  const lanes = g.seals.map((s) => laneOf(s, 1));
  const plan = honePlan(
    {
      startDiaMm: START,
      targetDiaMm: TARGET,
      limitDiaMm: 22.3,
      material: 'cast-iron',
      boreLengthMm: g.lengthMm,
      blindEnd,
      stoneLengthMm: 25,
      rpm: 450,
      finish: 'cross-hatch',
    },
    STANDARD_RULES,
  );
  const even = { meanMm: START, highMm: START, lowMm: START, method: 'harmonic', ovalityMm: 0, ovalityUncertaintyMm: 0 } as const;
  const stations = suggestDepths(g, STANDARD_RULES).map((xMm) => ({ xMm, ...even, majorAxisDeg: null, rmsResidualMm: null }));
  const inLanes = stations.filter((s) => lanes.some((l) => s.xMm >= l.x0Mm && s.xMm <= l.x1Mm));
  return {
    stations,
    lengthMm: g.lengthMm,
    lanes,
    blindEnd,
    stroke: { stoneLengthMm: 25, overrunMm: plan.overrunMm, strokeMm: plan.strokeLengthMm },
    cuts: cutsOfPlan(plan, 7.5),
    narrowest: { atMm: inLanes.map((s) => s.xMm), mm: TARGET },
  };
};

describe('a cut before it is made', () => {
  test('a blind bore cut until its narrowest place is on size comes out wider elsewhere: said before metal is cut, with what helps', () => {
    const { planned, helps } = predictCut(cutOf(masterTandem.drawing as Drawing, true));
    expect(planned.widestMm - TARGET).toBeGreaterThan(0.01);
    // Toward the mouth, where the stones have long been when they turn at the bottom.
    expect(planned.atMm).toBeLessThan(40);
    expect(helps.map((h) => h.name)).toEqual(expect.arrayContaining(['short-strokes', 'shorter-stone', 'less-overrun']));
    for (const h of helps) expect(h.widestMm).toBeLessThan(planned.widestMm);
    expect(helps.map((h) => h.widestMm)).toEqual(helps.map((h) => h.widestMm).sort((a, b) => a - b));
  });

  test('a bore open at both ends hardly needs any, and nothing is said of a bottom', () => {
    const { planned, helps } = predictCut(cutOf(wheelDouble.drawing as Drawing, false));
    expect(planned.widestMm - TARGET).toBeLessThan(0.006);
    expect(helps.some((h) => h.name === 'short-strokes' || h.name === 'more-relief')).toBe(false);
  });

  test('a stone that never comes to the lane promises nothing: its rate is left as it is', () => {
    const input = cutOf(masterTandem.drawing as Drawing, true);
    const { planned } = predictCut({ ...input, stroke: { ...input.stroke, strokeMm: 1 }, narrowest: { atMm: [90], mm: TARGET } });
    expect(Number.isFinite(planned.widestMm)).toBe(true);
  });

  test('each help is one instruction with its figures', () => {
    const stroke = { stoneLengthMm: 12, overrunMm: 4, strokeMm: 60 };
    const said = (name: Parameters<typeof sayHelp>[0]['name']) =>
      sayHelp({ name, widestMm: 22, atMm: 9, way: { stroke, shortShare: 0.3 } }, true, METRIC);
    expect(said('short-strokes')).toBe(
      'Short strokes at the bottom: the first 30 in 100 of each pass 15 mm long, from where the stones turn there.',
    );
    expect(said('more-relief')).toBe('Turn further from the bottom: a stroke of 60 mm.');
    expect(said('shorter-stone')).toBe('A shorter stone, 12 mm, out of the mouth by 4 mm.');
    expect(said('less-overrun')).toBe('Less out of the mouth: 4 mm.');
  });
});
