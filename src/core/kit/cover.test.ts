import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { bestSet } from './best-set';
import { coverOf, undominated } from './cover';
import { mostGiven } from './most-given';
import type { Need, Store } from './need';

const need = (id: string, kind: string, qty = 1): Need => ({ id, kind, qty, dims: {}, policy: 'replace' });
const piece = (kind: string, qty = 1) => ({ kind, qty, dims: {} });
const kit = (id: string, price: number, stock: number | null, leadDays: number | null, ...items: ReturnType<typeof piece>[]) => ({
  id,
  price,
  stock,
  leadDays,
  items,
});
const sundry = (id: string, price: number, stock: number | null, leadDays: number | null, kind = 'cup') => ({
  id,
  kind,
  dims: {},
  price,
  stock,
  leadDays,
});
const store = (more: Partial<Store>): Store => ({ kits: [], sundries: [], allowUnverified: false, ...more });
const left = (needs: readonly Need[], s: Partial<Store>): readonly string[] =>
  undominated(coverOf(needs, store(s))).options.map((o) => o.id);

describe('what of a store is looked into', () => {
  test.each<[string, readonly Need[], Partial<Store>, readonly string[]]>([
    ['what serves nothing is not', [need('a', 'cup')], { kits: [kit('k', 1, 5, 1, piece('boot'))] }, []],
    ['what cannot be had is not', [need('a', 'cup')], { sundries: [sundry('s', 1, 0, null)] }, []],
    ['of two alike the dearer is not', [need('a', 'cup')], { sundries: [sundry('s', 2, 9, 1), sundry('t', 1, 9, 1)] }, ['t']],
    [
      'but it is while there are too few of the cheaper',
      [need('a', 'cup', 3)],
      { sundries: [sundry('s', 2, 9, 1), sundry('t', 1, 2, null)] },
      ['s', 't'],
    ],
    [
      'the sooner stays beside one of the same price',
      [need('a', 'cup')],
      { sundries: [sundry('s', 2, 1, null), sundry('t', 2, 0, 3)] },
      ['s'],
    ],
    [
      'a kit dearer than its pieces singly is not',
      [need('a', 'cup', 2)],
      { kits: [kit('k', 5, 9, 1, piece('cup', 2))], sundries: [sundry('s', 2, 9, 1)] },
      ['s'],
    ],
    [
      'a kit that gives what nothing else does stays',
      [need('a', 'cup'), need('b', 'boot')],
      { kits: [kit('k', 9, 9, 1, piece('cup'), piece('boot'))], sundries: [sundry('s', 2, 9, 1)] },
      ['k', 's'],
    ],
  ])('%s', (_, needs, s, want) => expect(left(needs, s)).toEqual(want));

  test('no more copies are thought of than pieces that they can serve', () => {
    const [option] = coverOf([need('a', 'cup', 2)], store({ kits: [kit('k', 1, 50, 1, piece('cup', 9))] })).options;
    expect([option?.most, option?.gives]).toEqual([2, [{ serves: [0], qty: 2 }]]);
  });
});

describe('the most that can be handed out', () => {
  test.each<[string, readonly number[], readonly { readonly serves: readonly number[]; readonly qty: number }[], number]>([
    ['nothing wanted', [], [], 0],
    ['nothing there', [3], [], 0],
    ['what is wanted', [3], [{ serves: [0], qty: 9 }], 3],
    [
      'a piece is moved on so that both are served',
      [1, 1],
      [
        { serves: [0, 1], qty: 1 },
        { serves: [0], qty: 1 },
      ],
      2,
    ],
    [
      'over two moves',
      [1, 1, 1],
      [
        { serves: [0, 1], qty: 1 },
        { serves: [1, 2], qty: 1 },
        { serves: [0], qty: 1 },
      ],
      3,
    ],
    [
      'many at once',
      [500, 700],
      [
        { serves: [0, 1], qty: 900 },
        { serves: [0], qty: 100 },
      ],
      1000,
    ],
  ])('%s', (_, wanted, pieces, most) => expect(mostGiven(wanted, pieces)).toBe(most));

  property.prop([
    fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 4 }),
    fc.array(fc.tuple(fc.uniqueArray(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 3 }), fc.integer({ min: 0, max: 3 })), {
      maxLength: 4,
    }),
  ])('is what trying everything gives', (wanted, some) => {
    const pieces = some.flatMap(([serves, qty]) => {
      const near = serves.filter((n) => n < wanted.length);
      return near.length === 0 ? [] : [{ serves: near, qty }];
    });
    const each = pieces.flatMap((p) => Array.from({ length: p.qty }, () => p.serves));
    const best = (at: number, room: readonly number[]): number => {
      const serves = each[at];
      if (serves === undefined) return 0;
      const with_ = serves.flatMap((n) =>
        (room[n] ?? 0) > 0
          ? [
              1 +
                best(
                  at + 1,
                  room.map((r, k) => (k === n ? r - 1 : r)),
                ),
            ]
          : [],
      );
      return Math.max(best(at + 1, room), ...with_);
    };
    expect(mostGiven(wanted, pieces)).toBe(best(0, wanted));
  });
});

/** Each case is solved a few times: fewer cases, and time for a slow machine. */
const SOLVED = { numRuns: 40 };
const SOLVING_MS = 60_000;

describe('the best set', () => {
  const supply = fc.record({
    price: fc.integer({ min: 0, max: 900 }).map((c) => c / 100),
    stock: fc.constantFrom(0, 1, 2, null),
    leadDays: fc.constantFrom(0, 2, 5, null),
  });
  const stores = fc.record({
    kits: fc.array(
      fc.tuple(supply, fc.array(fc.tuple(fc.constantFrom('cup', 'boot'), fc.integer({ min: 1, max: 3 })), { minLength: 1, maxLength: 3 })),
      {
        maxLength: 4,
      },
    ),
    sundries: fc.array(fc.tuple(supply, fc.constantFrom('cup', 'boot')), { maxLength: 4 }),
  });
  const asStore = (s: typeof stores extends fc.Arbitrary<infer T> ? T : never, promiseDays: number | null): Store =>
    store({
      promiseDays,
      kits: s.kits.map(([of, items], i) => ({ id: `k${i}`, ...of, items: items.map(([kind, qty]) => piece(kind, qty)) })),
      sundries: s.sundries.map(([of, kind], i) => ({ id: `s${i}`, ...of, kind, dims: {} })),
    });
  const needs = [need('a', 'cup', 2), need('b', 'boot', 1)];
  const open = (set: Awaited<ReturnType<typeof bestSet>>): number => set.uncovered.reduce((n, u) => n + u.qty, 0);

  property.prop([stores], SOLVED)(
    'is never worse for a later day, and covers what it says',
    async (s) => {
      const [soon, late, any] = [
        await bestSet(needs, asStore(s, 1)),
        await bestSet(needs, asStore(s, 3)),
        await bestSet(needs, asStore(s, null)),
      ];
      for (const [a, b] of [
        [soon, late],
        [late, any],
      ] as const) {
        expect(open(b)).toBeLessThanOrEqual(open(a));
        if (open(a) === open(b)) expect(b.price).toBeLessThanOrEqual(a.price + 1e-9);
      }
      const { kits, sundries } = asStore(s, null);
      const given = any.picks.map((p) => {
        const from = p.type === 'kit' ? kits.find((k) => k.id === p.id) : sundries.find((x) => x.id === p.id);
        const items = from === undefined ? [] : 'items' in from ? from.items : [piece(from.kind)];
        expect(p.qty).toBeLessThanOrEqual(from?.leadDays == null ? (from?.stock ?? 0) : 99);
        return { price: (from?.price ?? 0) * p.qty, items: items.map((i) => ({ ...i, qty: i.qty * p.qty })) };
      });
      expect(given.reduce((sum, g) => sum + g.price, 0)).toBeCloseTo(any.price, 6);
      for (const n of needs) {
        const pieces = given.flatMap((g) => g.items).reduce((sum, i) => sum + (i.kind === n.kind ? i.qty : 0), 0);
        expect(Math.min(n.qty, pieces)).toBe(n.qty - (any.uncovered.find((u) => u.needId === n.id)?.qty ?? 0));
      }
    },
    SOLVING_MS,
  );

  property.prop([stores, fc.integer({ min: 0, max: 300 })], SOLVED)(
    'is never dearer for one more thing to choose from',
    async (s, cents) => {
      const before = asStore(s, null);
      const more = { ...before, sundries: [...before.sundries, sundry('extra', cents / 100, 9, null)] };
      const [a, b] = [await bestSet(needs, before), await bestSet(needs, more)];
      expect(open(b)).toBeLessThanOrEqual(open(a));
      if (open(a) === open(b)) expect(b.price).toBeLessThanOrEqual(a.price + 1e-9);
    },
    SOLVING_MS,
  );

  test('prices that are no cents are settled as exactly', async () => {
    const s = store({
      kits: [kit('pair', 2 / 3, 1, null, piece('cup', 2)), kit('late', 2 / 3, 0, 4, piece('cup', 2))],
      sundries: [sundry('one', 1 / 3, 9, null)],
    });
    expect(await bestSet([need('a', 'cup', 2)], s)).toMatchObject({ picks: [{ id: 'pair', qty: 1 }], leadDays: 0 });
    expect(await bestSet([need('a', 'cup', 1)], s)).toMatchObject({ picks: [{ id: 'one', qty: 1 }], price: 1 / 3 });
  });

  test('dear things too: what weighs more than the solver resolves is settled in two steps', async () => {
    const s = store({ sundries: [sundry('a', 1_234_567.89, 0, 3), sundry('b', 1_234_567.89, 1, null), sundry('c', 1_234_567.88, 0, 9)] });
    expect(await bestSet([need('x', 'cup')], { ...s, promiseDays: 5 })).toMatchObject({ picks: [{ id: 'b', qty: 1 }], leadDays: 0 });
    expect(await bestSet([need('x', 'cup')], s)).toMatchObject({ picks: [{ id: 'c', qty: 1 }], leadDays: 9 });
  });
});
