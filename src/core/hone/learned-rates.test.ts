import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import type { BorePass } from './bore-pass';
import { GRITS, type HonePass } from './cutting-rate';
import { honePlan } from './hone-plan';
import { learnedRates, pooledPass } from './learned-rates';
import { sayHoned } from './say-honed';
import { startDiaOf } from './start-dia';

const pass = (grit: HonePass['grit'], strokes: number, beforeMm: number, afterMm: number): HonePass => ({
  grit,
  strokes,
  strokesPerMin: 60,
  rpm: 300,
  beforeMm,
  afterMm,
});
const iron = (p: HonePass) => ({ ...p, material: 'cast-iron' as const });

describe('rates that the shop has learned', () => {
  test('are the metal taken over the turns made, with the spread of the passes about it', () => {
    // 20 strokes at 300/60 are 100 turns each: 8 and 10 µm.
    const [rate] = learnedRates([iron(pass(220, 20, 22, 22.008)), iron(pass(220, 20, 22.008, 22.018))]);
    expect(rate).toMatchObject({ grit: 220, passes: 2, turns: 200, material: 'cast-iron' });
    expect(rate?.umPer100Turns).toBeCloseTo(9, 9);
    expect(rate?.spread).toBeCloseTo(Math.SQRT2, 9);
  });

  test('one pass has no spread; a pass that took nothing off counts as nothing', () => {
    expect(learnedRates([iron(pass(320, 20, 22, 22.004))])[0]?.spread).toBeNull();
    expect(learnedRates([iron(pass(320, 20, 22, 22.004)), iron(pass(320, 20, 22.004, 22.003))])[0]?.umPer100Turns).toBeCloseTo(2, 9);
  });

  test('materials and grits are kept apart', () => {
    const rates = learnedRates([
      iron(pass(220, 20, 22, 22.008)),
      { ...pass(220, 20, 22, 22.02), material: 'alloy' },
      iron(pass(180, 9, 22, 22.01)),
    ]);
    expect(rates.map((r) => [r.material, r.grit])).toEqual([
      ['cast-iron', 180],
      ['cast-iron', 220],
      ['alloy', 220],
    ]);
    expect(learnedRates([])).toEqual([]);
  });

  test('the pooled rate lies between the slowest and the fastest pass', () => {
    const passes = fc.array(
      fc.record({ grit: fc.constantFrom(...GRITS), strokes: fc.integer({ min: 1, max: 200 }), um: fc.integer({ min: 0, max: 40 }) }),
      { minLength: 1, maxLength: 20 },
    );
    fc.assert(
      fc.property(passes, (all) => {
        for (const rate of learnedRates(all.map((p) => iron(pass(p.grit, p.strokes, 22, 22 + p.um / 1000))))) {
          const each = all.filter((p) => p.grit === rate.grit).map((p) => (100 * p.um) / (p.strokes * 5));
          expect(rate.umPer100Turns).toBeGreaterThanOrEqual(Math.min(...each) - 1e-6);
          expect(rate.umPer100Turns).toBeLessThanOrEqual(Math.max(...each) + 1e-6);
        }
      }),
    );
  });
});

test('passes on other bores move the rate of a plan, and neither its start nor its place in the sequence', () => {
  const bore = {
    startDiaMm: 22.24,
    targetDiaMm: 22.27,
    limitDiaMm: 22.31,
    material: 'cast-iron',
    boreLengthMm: 64,
    blindEnd: true,
  } as const;
  const asked = { ...bore, stoneLengthMm: 24, rpm: 300, finish: 'cross-hatch' } as const;
  const plain = honePlan(asked, STANDARD_RULES);
  const fast = honePlan(asked, STANDARD_RULES, [pass(220, 200, 20, 20.2), pass(400, 10, 20.2, 20.3)]);
  expect(fast.stages.map((s) => [s.grit, s.fromMm, s.toMm])).toEqual(plain.stages.map((s) => [s.grit, s.fromMm, s.toMm]));
  expect(fast.stages[0]?.strokes).toBeLessThan(plain.stages[0]?.strokes ?? 0);
  expect([fast.remainingUm, fast.outcome]).toEqual([plain.remainingUm, 'cut']);
  // Many passes and what they amount to give the same plan.
  const many = [pass(220, 13, 22, 22.007), pass(220, 40, 22.1, 22.12), pass(400, 9, 22.2, 22.199), pass(320, 31, 22.2, 22.21)];
  const pooled = learnedRates(many.map(iron)).map(pooledPass);
  const [a, b] = [honePlan(asked, STANDARD_RULES, many), honePlan(asked, STANDARD_RULES, pooled)];
  expect(b.stages.map((s) => s.strokes)).toEqual(a.stages.map((s) => s.strokes));
  for (const [i, s] of b.stages.entries()) expect(s.umPer100Turns).toBeCloseTo(a.stages[i]?.umPer100Turns ?? 0, 9);
});

test('what was cut is said by tool and grit, from where to where', () => {
  const logged = (p: HonePass, tool: BorePass['tool']): BorePass => ({
    ...p,
    id: '',
    pot: 1,
    at: 0,
    personId: '',
    tool,
    drive: 'press',
    bodyTempC: null,
    note: '',
  });
  const passes = [
    logged(pass(220, 12, 22.24, 22.26), 'stone'),
    logged(pass(220, 8, 22.26, 22.275), 'stone'),
    logged(pass(600, 5, 22.275, 22.276), 'bead'),
  ];
  expect(sayHoned(passes)).toBe('stone hone 220: 20 strokes, bead hone 600: 5 strokes; 22.240 to 22.276 mm');
  expect(sayHoned([])).toBe('');
});

test('cutting starts from the narrowest mean where a seal runs; what lies outside the lanes does not count', () => {
  const station = (xMm: number, meanMm: number) =>
    ({
      xMm,
      meanMm,
      method: 'single',
      ovalityMm: null,
      ovalityUncertaintyMm: null,
      majorAxisDeg: null,
      rmsResidualMm: null,
      highMm: meanMm,
      lowMm: meanMm,
    }) as const;
  const lane = { sealId: 'cup', role: 'pressure', x0Mm: 10, x1Mm: 30, parked0Mm: 10, parked1Mm: 14 } as const;
  const gauge = { stations: [station(5, 22.2), station(12, 22.24), station(25, 22.23), station(50, 22.21)] };
  expect(startDiaOf({ gauge, lanes: [lane] })).toBe(22.23);
  expect(startDiaOf({ gauge, lanes: [] })).toBe(22.2);
  expect(startDiaOf({ gauge: null, lanes: [lane] })).toBeNull();
});
