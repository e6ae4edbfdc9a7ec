import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { betaCdf, betaQuantile } from '../statistics/beta';
import { type CostedOption, routeCost } from './route-cost';
import { RouteCostRequest } from './route-cost-schema';

const cost = (request: object) => routeCost(RouteCostRequest.parse(request), STANDARD_RULES);
const repair = { id: 'repair', parts: 10, minutes: 60, days: 3 };
const other = { id: 'exchange', parts: 100, minutes: 0, days: 1 };
const of = (answer: ReturnType<typeof cost>, id: string) => answer.options.find((o) => o.id === id) as CostedOption;

describe('the Beta distribution', () => {
  test('whole parameters are sums of binomial chances, counted by hand', () => {
    const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n, k - 1) * (n - k + 1)) / k);
    const byHand = (x: number, a: number, b: number): number => {
      const n = a + b - 1;
      return Array.from({ length: b }, (_, i) => a + i).reduce((sum, j) => sum + choose(n, j) * x ** j * (1 - x) ** (n - j), 0);
    };
    for (const [a, b] of [
      [1, 1],
      [9, 1],
      [19, 1],
      [2, 7],
      [30, 12],
    ] as const)
      for (const x of [0.01, 0.2, 0.5, 0.77, 0.95]) expect(betaCdf(x, a, b)).toBeCloseTo(byHand(x, a, b), 12);
  });

  test('of one bad in none the quantile is a root: x^a = p', () => {
    for (const a of [0.3, 1, 9, 19, 4000]) for (const p of [0.05, 0.5, 0.95]) expect(betaQuantile(p, a, 1)).toBeCloseTo(p ** (1 / a), 12);
    expect(betaQuantile(0.05, 3, 3)).toBeCloseTo(1 - betaQuantile(0.95, 3, 3), 12);
  });

  test('of a million it is the normal’s, to what is left of its skew', () => {
    const [a, b] = [900_000, 100_000];
    const sd = Math.sqrt((a * b) / ((a + b) ** 2 * (a + b + 1)));
    expect((betaQuantile(0.95, a, b) - 0.9) / sd).toBeCloseTo(1.6449, 2);
  });

  test('a quantile put back gives its chance, for any parameters', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 500, noNaN: true }),
        fc.double({ min: 0.2, max: 500, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (a, b, p) => {
          const x = betaQuantile(p, a, b);
          // Near its ends a Beta may rise by more than this between two neighbouring numbers.
          if (x > 1e-12 && x < 1 - 1e-12) expect(Math.abs(betaCdf(x, a, b) - p)).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('what a way costs', () => {
  test('by hand: parts with their mark-up, labour, what failing and coming back cost by their chances', () => {
    const { options, best } = cost({ options: [repair, other], returnCost: 200 });
    // 10·1.2 + 60 = 72; 0.1·60 + 0.9·0.05·200 = 15. The other: 120, 0.1·0 + 9 = 9.
    expect(options.map((o) => [o.direct, o.labour, o.risk, o.total])).toEqual([
      [72, 60, expect.closeTo(15, 9), expect.closeTo(87, 9)],
      [120, 0, expect.closeTo(9, 9), expect.closeTo(129, 9)],
    ]);
    expect(best).toBe('repair');
    // 0.95 − 42/(0.9·200).
    expect(of({ options, best } as never, 'exchange').keepChanceToEqual).toBeCloseTo(0.95 - 42 / 180, 9);
  });

  test('at the chance of keeping that makes another as good, it is as good', () => {
    const asked = { options: [{ ...repair, kept: { good: 30, bad: 2 } }, other], returnCost: 300 };
    const before = of(cost(asked), 'exchange');
    const chance = before.keepChanceToEqual as number;
    // Nobody counted, and a prior that says that chance.
    const all = 52;
    const rules = { ...STANDARD_RULES, keepPriorGood: chance * all, keepPriorBad: all - chance * all };
    const after = routeCost(
      RouteCostRequest.parse({ ...asked, options: [repair, { ...other, kept: { good: 0, bad: 0 }, returnCost: 0 }] }),
      rules,
    );
    const [a] = after.options;
    expect(a?.keepChance).toBeCloseTo(chance, 9);
    expect((a?.total ?? 0) - (a?.direct ?? 0)).toBeCloseTo(0.1 * 60 + 0.9 * (1 - chance) * 300, 9);
    expect(a?.total).toBeCloseTo(before.total, 6);
  });

  test('late: by the day, and out where the date is hard; nothing is best where nothing may be', () => {
    const late = { options: [repair, other], neededInDays: 2, latePerDay: 50 };
    expect(cost(late).options.map((o) => [o.lateCost, o.allowed])).toEqual([
      [50, true],
      [0, true],
    ]);
    expect(cost({ ...late, hard: true }).best).toBe('exchange');
    expect(of(cost({ ...late, hard: true }), 'repair')).toMatchObject({ allowed: false, dearerBy: null, keepChanceToEqual: null });
    expect(cost({ ...late, hard: true, neededInDays: -1 }).best).toBeNull();
    expect(cost({ ...late, neededInDays: -1 }).options.map((o) => o.lateCost)).toEqual([200, 100]);
    expect(cost({ options: [repair], hard: true }).best).toBe('repair');
  });

  test('what is given back restores nothing, risks nothing, and is never best', () => {
    const answer = cost({ options: [repair, { id: 'back', parts: 0, minutes: 0, days: 0, restores: false }], returnCost: 500 });
    expect([answer.best, of(answer, 'back').risk, of(answer, 'back').dearerBy]).toEqual(['repair', 0, null]);
  });

  test('an option’s own costs go before; of two that cost the same the sooner, then the first', () => {
    expect(of(cost({ options: [{ ...repair, returnCost: 0, failCost: 7 }], returnCost: 900 }), 'repair').risk).toBeCloseTo(0.7, 9);
    const twin = (id: string, days: number) => ({ ...repair, id, days });
    expect(cost({ options: [twin('a', 3), twin('b', 2)] }).best).toBe('b');
    expect(cost({ options: [twin('a', 2), twin('b', 2)] }).best).toBe('a');
    expect(of(cost({ options: [twin('a', 2), twin('b', 2)] }), 'b')).toMatchObject({ dearerBy: 0, keepChanceToEqual: null });
  });

  test('more good ones never make a way dearer, more money never cheaper', () => {
    fc.assert(
      fc.property(fc.nat(500), fc.nat(50), fc.nat(1000), (good, bad, returnCost) => {
        const total = (kept: object, parts = 10) => of(cost({ options: [{ ...repair, parts, kept }], returnCost }), 'repair').total;
        expect(total({ good: good + 1, bad })).toBeLessThanOrEqual(total({ good, bad }) + 1e-9);
        expect(total({ good, bad: bad + 1 })).toBeGreaterThanOrEqual(total({ good, bad }) - 1e-9);
        expect(total({ good, bad }, 11)).toBeGreaterThan(total({ good, bad }));
      }),
      { numRuns: 60 },
    );
  });

  test.each<[string, object, string]>([
    ['no options', { options: [] }, 'options'],
    ['an id twice, at the later', { options: [repair, repair] }, 'options.1.id'],
    ['half a unit', { options: [{ ...repair, kept: { good: 0.5 } }] }, 'options.0.kept.good'],
    ['money below nothing', { options: [{ ...repair, parts: -1 }] }, 'options.0.parts'],
    ['a word that nobody knows', { options: [{ ...repair, price: 3 }] }, 'options.0'],
  ])('%s is refused at its place', (_, request, path) => {
    const parsed = RouteCostRequest.safeParse(request);
    expect(parsed.error?.issues.map((i) => i.path.join('.'))).toContain(path);
  });
});
