import { describe, expect, test } from 'vitest';
import { randomFrom } from '../statistics/random';
import { comebacks } from './comebacks';
import { ComebacksRequest } from './comebacks-schema';
import type { Life } from './lives';

const back = (group: string, days: number, releasedDaysAgo?: number): Life => ({
  group,
  days,
  cameBack: true,
  ...(releasedDaysAgo === undefined ? {} : { releasedDaysAgo }),
});
const out = (group: string, days: number): Life => ({ group, days, cameBack: false });
const ask = (units: readonly Life[], more: object = {}) => comebacks({ units, ...more } as ComebacksRequest);

describe('how long a group holds', () => {
  test('without a unit that is still out it is the share that has not come back, by counting', () => {
    const days = [3, 3, 8, 15, 15, 15, 40, 77, 90, 120];
    const [group] = ask(
      days.map((d) => back('a', d)),
      { at: [2, 3, 14, 80, 120, 121] },
    ).groups;
    const share = (day: number) => days.filter((d) => d > day).length / days.length;
    expect(group?.at.map((a) => a?.survival.toFixed(9) ?? null)).toEqual(
      [1, ...[3, 14, 80].map(share), 0, null].map((s) => (typeof s === 'number' ? s.toFixed(9) : s)),
    );
    expect(group?.medianDays).toBe(15);
    expect(group?.steps.at(-1)).toMatchObject({ day: 120, atRisk: 1, survival: 0, low: 0, high: 0 });
    expect(group?.steps.map((s) => s.atRisk)).toEqual([10, 8, 7, 4, 3, 2, 1]);
  });

  test('what is still out counts for as long as it was seen; a comeback of the same day comes first', () => {
    // Worked by hand: 4 at risk on day 10, one of them only seen until then; 2 on day 20.
    const [group] = ask([back('a', 10), out('a', 10), back('a', 20), out('a', 30)], { at: [10, 20, 30, 31] }).groups;
    expect(group?.steps.map((s) => [s.day, s.atRisk, s.events, s.survival])).toEqual([
      [10, 4, 1, 0.75],
      [20, 2, 1, 0.375],
    ]);
    expect(group?.at.map((a) => a?.survival ?? null)).toEqual([0.75, 0.375, 0.375, null]);
    // Greenwood by hand: 1/(4·3) + 1/(2·1) = 7/12; z = 1.959964.
    const by = (1.9599639845 * Math.sqrt(7 / 12)) / Math.log(0.375);
    expect(group?.steps[1]?.low).toBeCloseTo(0.375 ** Math.exp(-by), 9);
    expect(group?.steps[1]?.high).toBeCloseTo(0.375 ** Math.exp(by), 9);
    expect(ask([out('a', 5), out('a', 9)]).groups[0]).toMatchObject({ steps: [], medianDays: null, at: [null], events: 0 });
  });

  test('its interval holds the truth as often as it says, also where most are still out', () => {
    const random = randomFrom(5);
    let held = 0;
    const TRIES = 600;
    for (let n = 0; n < TRIES; n++) {
      // Lives of an exponential law of 400 days, each seen for 50 to 500 days.
      const units = Array.from({ length: 60 }, (): Life => {
        const [life, seen] = [-400 * Math.log(1 - random.next()), 50 + 450 * random.next()];
        return life <= seen ? back('a', life) : out('a', seen);
      });
      const at = ask(units, { at: [200] }).groups[0]?.at[0];
      const truth = Math.exp(-200 / 400);
      if (at != null && at.low <= truth && truth <= at.high) held += 1;
    }
    expect(held / TRIES).toBeGreaterThan(0.92);
    expect(held / TRIES).toBeLessThan(0.98);
  });
});

describe('whether groups differ', () => {
  test('two groups, worked by hand day by day', () => {
    const rank = ask([back('a', 1), back('a', 3), out('a', 4), back('b', 2), out('b', 5), out('b', 6)]).logRank;
    // Day 1: 6 out, 3 of a; day 2: 5, 2; day 3: 4, 2. One came back each day.
    const [u, v] = [2 - (3 / 6 + 2 / 5 + 2 / 4), 0.5 * 0.5 + 0.4 * 0.6 + 0.5 * 0.5];
    expect(rank?.chi2).toBeCloseTo(u ** 2 / v, 9);
    expect(rank?.df).toBe(1);
  });

  test('is the same however groups and units are ordered, and nothing where groups are alike', () => {
    const units = [back('a', 5), back('b', 9), out('c', 12), back('c', 3), out('a', 20), out('b', 7), back('a', 11), out('c', 25)];
    const first = ask(units).logRank;
    for (const order of [[...units].reverse(), [...units].sort((x, y) => y.days - x.days)])
      expect(ask(order).logRank?.chi2).toBeCloseTo(first?.chi2 ?? 0, 9);
    const alike = [1, 2, 3, 4].flatMap((d) => [back('a', d), back('b', d)]);
    expect(ask(alike).logRank).toMatchObject({ chi2: 0, df: 1, p: 1 });
  });

  test('says nothing with one group, without a comeback, where all at risk came back at once, or of a group that was never at risk', () => {
    expect(ask([back('a', 1), out('a', 2)]).logRank).toBeNull();
    expect(ask([out('a', 1), out('b', 2)]).logRank).toBeNull();
    expect(ask([back('a', 4), back('b', 4)]).logRank).toBeNull();
    const three = [back('a', 10), out('a', 20), back('b', 12), out('b', 30)];
    expect(ask([...three, out('late', 2)]).logRank).toEqual(ask(three).logRank);
    expect(ask([out('late', 2), back('a', 10), out('a', 20)]).logRank).toBeNull();
  });

  test('groups of which no two were ever out together leave a covariance that is singular: what can be told is', () => {
    const apart = [back('a', 1), out('a', 2), back('b', 1), out('b', 2), back('c', 50), out('c', 60), back('d', 50), out('d', 60)];
    const rank = ask(apart).logRank;
    expect(rank?.df).toBe(3);
    expect(Number.isFinite(rank?.chi2)).toBe(true);
  });

  test('finds no difference where there is none about as often as it should', () => {
    const random = randomFrom(11);
    let told = 0;
    for (let n = 0; n < 400; n++) {
      const units = Array.from({ length: 60 }, (_, i): Life => {
        const [life, seen] = [-300 * Math.log(1 - random.next()), 100 + 300 * random.next()];
        const group = 'abc'[i % 3] as string;
        return life <= seen ? back(group, life) : out(group, seen);
      });
      if ((ask(units).logRank?.p ?? 1) < 0.05) told += 1;
    }
    expect(told / 400).toBeGreaterThan(0.02);
    expect(told / 400).toBeLessThan(0.09);
  });
});

describe('the funnel', () => {
  const many = (group: string, good: number, bad: number): readonly Life[] => [
    ...Array.from({ length: good }, () => out(group, 200)),
    ...Array.from({ length: bad }, () => back(group, 100)),
  ];
  test('names what lies outside of three standard errors of all, and says few before any of it', () => {
    const { groups, overallRate } = ask([...many('good', 300, 2), ...many('usual', 100, 8), ...many('bad', 60, 30), ...many('new', 3, 3)]);
    expect(overallRate).toBeCloseTo(43 / 506, 12);
    expect(groups.map((g) => [g.group, g.says])).toEqual([
      ['good', 'low'],
      ['usual', 'usual'],
      ['bad', 'high'],
      ['new', 'few'],
    ]);
    const p = 43 / 506;
    expect(groups[2]?.upper).toBeCloseTo(p + 3 * Math.sqrt((p * (1 - p)) / 90), 12);
    expect(groups[3]?.rate).toBe(0.5);
  });

  test('counts a unit only once it was out long enough, a comeback too', () => {
    const { groups, overallRate } = ask([
      out('a', 179),
      out('a', 180),
      back('a', 20, 90),
      back('a', 20, 200),
      back('a', 200, 300),
      back('a', 30),
    ]);
    expect(groups[0]).toMatchObject({ followed: 4, cameBackInTime: 2, rate: 0.5 });
    expect(overallRate).toBe(0.5);
    expect(ask([out('a', 10)])).toMatchObject({
      overallRate: null,
      groups: [{ followed: 0, rate: null, lower: null, upper: null, says: 'few' }],
    });
  });
});

test('a request that cannot be is told at each of its places', () => {
  const told = (units: unknown, more: object = {}) => {
    const parsed = ComebacksRequest.safeParse({ units, ...more });
    return parsed.success ? [] : parsed.error.issues.map((i) => i.path.join('.'));
  };
  expect(
    told([
      { group: 'a', days: 10, cameBack: true, releasedDaysAgo: 9 },
      { group: '', days: -1, cameBack: 'no' },
    ]),
  ).toEqual(expect.arrayContaining(['units.0.releasedDaysAgo', 'units.1.group', 'units.1.days', 'units.1.cameBack']));
  expect(told([])).toEqual(['units']);
  expect(told([out('a', 1)], { level: 1, followDays: 0, at: [-1] }).sort()).toEqual(['at.0', 'followDays', 'level']);
  expect(told(Array.from({ length: 101 }, (_, i) => out(`g${i}`, 1)))).toEqual(['units']);
});

test('a hundred thousand units of a hundred groups are answered within a second or two', { timeout: 20_000 }, () => {
  const random = randomFrom(3);
  const units = Array.from({ length: 100_000 }, (_, i): Life => {
    const days = 1000 * random.next();
    return i % 9 === 0 ? back(`g${i % 100}`, days) : out(`g${i % 100}`, days);
  });
  const answer = ask(units);
  expect(answer.groups).toHaveLength(100);
  expect(answer.logRank?.df).toBe(99);
});
