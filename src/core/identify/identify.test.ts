import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import type { Features } from './feature';
import { type Fitted, identify } from './identify';
import { likeness } from './likeness';

const ask = (measured: Parameters<typeof identify>[0]['measured'], fitments: readonly Fitted[]) =>
  identify({ measured, fitments }, STANDARD_RULES);
const tug: Fitted = { id: 'tug', features: { boreMm: 20.6375, strokeMm: 28 } };
const dumper: Fitted = { id: 'dumper', features: { boreMm: 22.225, strokeMm: 28 } };

describe('which fitment it is', () => {
  test('a length counts by its distance over spread and uncertainty together', () => {
    const { candidates } = ask({ boreMm: { value: 20.6375 + 0.1, u: 0 } }, [tug, dumper]);
    // z = 2 against 29.8: e^-2 beside nothing; on the edge of agreeing.
    expect(candidates.map((c) => [c.id, c.agree])).toEqual([
      ['tug', ['boreMm']],
      ['dumper', []],
    ]);
    expect(ask({ boreMm: { value: 20.6375 + 0.101, u: 0 } }, [tug]).candidates[0]?.clash).toEqual(['boreMm']);
  });

  test('equal threads in any order and writing are one; another count is fifty times less likely', () => {
    const two: Fitted = { id: 'two', features: { portThreads: ['m12 × 1.00', 'M10x1'], outletCount: 2 } };
    const one: Fitted = { id: 'one', features: { portThreads: ['M10x1'], outletCount: 2 } };
    const { candidates } = ask({ portThreads: ['M10 x 1.0', 'M12x1'] }, [one, two]);
    expect(candidates[0]?.id).toBe('two');
    expect(candidates[0]?.probability).toBeCloseTo(1 / 1.02, 12);
  });

  test('what a fitment is not known to have halves it, and neither agrees nor clashes', () => {
    const bare: Fitted = { id: 'bare', features: {} };
    const { candidates } = ask({ outletCount: 2 }, [bare, { id: 'two', features: { outletCount: 2 } }]);
    expect(candidates.map((c) => [c.id, c.agree, c.clash])).toEqual([
      ['two', ['outletCount'], []],
      ['bare', [], []],
    ]);
    expect(candidates[1]?.probability).toBeCloseTo(1 / 3, 12);
  });

  test('casting marks read alike letter by letter', () => {
    expect(likeness('DN 20', 'dn2o')).toBe(0.75);
    expect(likeness('AB12', 'AB12 ')).toBe(1);
    expect(likeness('kitten', 'sitting')).toBeCloseTo(1 - 3 / 7, 12);
  });

  test('the stroke settles what the bore cannot; what no fitment knows is not asked for; when all is known nothing is', () => {
    const both = [tug, { id: 'twin', features: { boreMm: 20.6375, strokeMm: 33 } }];
    expect(ask({ boreMm: { value: 20.64 } }, both).measureNext?.feature).toBe('strokeMm');
    expect(ask({ boreMm: { value: 20.64 } }, both).measureNext?.dropBits).toBeCloseTo(1, 6);
    expect(ask({ boreMm: { value: 20.64 }, strokeMm: { value: 28 } }, both).measureNext).toBeNull();
  });

  test('none fits when the best clashes as often as it agrees, and when there is nothing to fit', () => {
    expect(ask({ boreMm: { value: 30 } }, [tug, dumper]).noneFits).toBe(true);
    expect(ask({ boreMm: { value: 20.64 }, strokeMm: { value: 40 } }, [tug]).noneFits).toBe(true);
    expect(ask({ boreMm: { value: 20.64 } }, [tug, dumper]).noneFits).toBe(false);
    expect(ask({}, [])).toMatchObject({ candidates: [], noneFits: true, measureNext: null });
  });

  const features = fc.record(
    {
      boreMm: fc.constantFrom(19.05, 20.6375, 22.225),
      strokeMm: fc.constantFrom(28, 28.4, 33),
      castingMark: fc.constantFrom('DN 20', 'DN 33', 'X1'),
      portThreads: fc.constantFrom(['M10x1'], ['M10x1', 'M12x1']),
    },
    { requiredKeys: [] },
  ) as fc.Arbitrary<Features>;

  /** The chapter's words, without grouping equal values: one reading for each fitment. */
  const dropByHand = (fitments: readonly Fitted[], feature: 'strokeMm' | 'castingMark' | 'portThreads' | 'boreMm'): number => {
    const bits = (all: readonly { readonly probability: number }[]): number =>
      all.reduce((sum, { probability: p }) => sum - (p > 0 ? p * Math.log2(p) : 0), 0);
    const now = ask({}, fitments).candidates;
    const after = now.map(({ id, probability }) => {
      const value = fitments.find((f) => f.id === id)?.features[feature];
      if (value == null) return probability * bits(now);
      return probability * bits(ask({ [feature]: typeof value === 'number' ? { value } : value }, fitments).candidates);
    });
    return bits(now) - after.reduce((a, b) => a + b, 0);
  };

  property.prop([fc.array(features, { minLength: 1, maxLength: 6 })])(
    'what to measure next is what drops the doubt most, fitment by fitment',
    (all) => {
      const fitments = all.map((f, i) => ({ id: `f${i}`, features: f }));
      const drops = (['boreMm', 'strokeMm', 'portThreads', 'castingMark'] as const).map((f) => dropByHand(fitments, f));
      const next = ask({}, fitments).measureNext;
      const most = Math.max(...drops);
      if (next === null) expect(most).toBeLessThanOrEqual(0.01 + 1e-9);
      else expect(next.dropBits).toBeCloseTo(most, 9);
    },
  );

  test('of very many, the next thing to measure is chosen for the likeliest', () => {
    const many = Array.from({ length: 3000 }, (_, i) => ({
      id: `f${String(i).padStart(4, '0')}`,
      features: { boreMm: i % 2 === 0 ? 19.05 : 22.225, strokeMm: 20 + (i % 30), castingMark: `C${i}` },
    }));
    const start = performance.now();
    const answer = identify({ measured: { boreMm: { value: 19.05 } }, fitments: many }, STANDARD_RULES, 100);
    expect(performance.now() - start).toBeLessThan(10_000);
    expect([answer.candidates.length, answer.candidates[0]?.agree, answer.measureNext?.feature]).toEqual([100, ['boreMm'], 'strokeMm']);
  });

  property.prop([fc.array(features, { minLength: 1, maxLength: 8 }), fc.double({ min: 18, max: 24, noNaN: true })])(
    'probabilities add up to one and come in order',
    (all, value) => {
      const { candidates } = ask(
        { boreMm: { value } },
        all.map((f, i) => ({ id: `f${i}`, features: f })),
      );
      expect(candidates.reduce((sum, c) => sum + c.probability, 0)).toBeCloseTo(1, 9);
      for (const [i, c] of candidates.entries())
        if (i > 0) expect(c.probability).toBeLessThanOrEqual(candidates[i - 1]?.probability as number);
    },
  );
});
