import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { sayDims } from '../family/say-dims';
import { type Fitment, sayFitment, seenValues, withLearned } from '../identify/fitment';
import { measuredOf, queryOf } from '../identify/identify-query';
import { METRIC } from '../quantity/units';
import { type Article, type Lot, lotsFor, reorderPoint, stocked } from '../store/article';
import type { BagFinding } from '../store/bag-finding';
import { indexArticle, search, termsOf } from '../store/search';
import { fixesFor, reallyIn, sayFinding } from './bag';
import { coverSets } from './cover-sets';
import type { Need } from './need';

const NOW = Date.UTC(2026, 5, 1);
const DAY = 86_400_000;
const lot = (code: string, qty: number, days: number | null, receivedDays = -10): Lot => ({
  id: code,
  articleId: 'a',
  code,
  receivedAt: NOW + receivedDays * DAY,
  expiresAt: days === null ? null : NOW + days * DAY,
  fault: '',
  qty,
});
const article = (more: Partial<Article> = {}): Article => ({
  id: 'a',
  number: 'K-1',
  type: 'kit',
  name: 'kit',
  price: 10,
  leadDays: 3,
  note: '',
  supersededBy: null,
  reorderAt: null,
  items: [],
  ...more,
});

describe('the shelf', () => {
  test.each<[string, readonly Lot[], number, readonly (readonly [string, number])[] | undefined]>([
    ['what ages first goes first', [lot('b', 5, 90), lot('a', 5, 30)], 1, [['a', 1]]],
    [
      'what does not age goes last',
      [lot('b', 5, null), lot('a', 5, 900)],
      6,
      [
        ['a', 5],
        ['b', 1],
      ],
    ],
    ['of the same date the older', [lot('b', 5, 90, -5), lot('a', 5, 90, -50)], 1, [['a', 1]]],
    ['never what has passed its date', [lot('b', 5, -1), lot('a', 1, 30)], 2, undefined],
    ['nor more than there is', [lot('a', 1, 30)], 2, undefined],
  ])('%s', (_, lots, qty, want) => expect(lotsFor(lots, qty, NOW)?.map((t) => [t.lot.code, t.qty])).toEqual(want));

  property.prop([
    fc.array(fc.tuple(fc.integer({ min: 0, max: 6 }), fc.integer({ min: -20, max: 20 })), { maxLength: 6 }),
    fc.integer({ min: 1, max: 12 }),
  ])('what is taken is what was asked for, from lots that hold it, or nothing is', (some, qty) => {
    const lots = some.map(([n, days], i) => lot(`l${i}`, n, days));
    const taken = lotsFor(lots, qty, NOW);
    const { stock } = stocked(article(), lots, NOW);
    expect(taken === undefined).toBe(stock < qty);
    expect(taken?.reduce((sum, t) => sum + t.qty, 0) ?? qty).toBe(qty);
    for (const t of taken ?? []) expect(t.qty > 0 && t.qty <= t.lot.qty).toBe(true);
  });

  test('the order point is what goes while an order comes, and a margin; by hand it prevails; old use is no use', () => {
    const used = Array.from({ length: 18 }, (_, i) => NOW - i * 10 * DAY);
    // 18 in 180 days, 3 days to get and 7 to notice: one meanwhile, and one for chance.
    expect(reorderPoint({ reorderAt: null, leadDays: 3 }, used, NOW)).toBe(2);
    expect(reorderPoint({ reorderAt: 0, leadDays: 3 }, used, NOW)).toBe(0);
    expect(
      reorderPoint(
        { reorderAt: null, leadDays: 3 },
        used.map((at) => at - 400 * DAY),
        NOW,
      ),
    ).toBe(0);
    expect(reorderPoint({ reorderAt: null, leadDays: null }, used, NOW)).toBe(6);
  });
});

describe('a bag', () => {
  const items = [
    { kind: 'cup', name: 'cup', qty: 2, dims: { boreMm: 19 } },
    { kind: 'boot', name: 'boot', qty: 1, dims: { idMm: 10, odMm: 28 } },
  ];
  test('holds what was found in it', () => {
    const findings: readonly BagFinding[] = [
      { what: 'missing', item: 0, qty: 1 },
      { what: 'wrong', item: 1, dims: { odMm: 26 }, note: 'tight' },
      { what: 'extra', kind: 'circlip', name: 'circlip', qty: 1, dims: {} },
    ];
    expect(reallyIn(items, findings).map((i) => [i.name, i.qty, i.dims])).toEqual([
      ['cup', 1, { boreMm: 19 }],
      ['boot', 1, { idMm: 10, odMm: 26 }],
      ['circlip', 1, {}],
    ]);
    expect(findings.map((f) => sayFinding(items, f, (d) => (Object.keys(d).length === 0 ? '' : ` (${sayDims(d, METRIC)})`)))).toEqual([
      'cup missing',
      'wrong boot (outside ⌀ 26 mm): tight',
      'an extra circlip',
    ]);
  });

  test('is made good by a sundry that fits for sure, the cheapest first; by the old part only where its kind may go back', () => {
    const boot = (number: string, price: number, odMm: number | undefined, qty = 1) =>
      stocked(
        article({
          id: number,
          number,
          type: 'sundry',
          price,
          items: [{ kind: 'boot', name: 'boot', qty: 1, dims: { idMm: 10, ...(odMm && { odMm }) } }],
        }),
        [lot(number, qty, 90)],
        NOW,
      );
    const store = [boot('dear', 3, 28), boot('cheap', 2, 28), boot('none', 1, 28, 0), boot('other', 1, 26), boot('unsure', 1, undefined)];
    const need = { kind: 'boot', qty: 1, dims: { idMm: 10, odMm: 28 } };
    expect(fixesFor(need, store, { kind: 'boot' }).map((f) => (f.kind === 'sundry' ? f.number : f.kind))).toEqual([
      'cheap',
      'dear',
      'reuse-old',
    ]);
    expect(fixesFor({ ...need, kind: 'cup' }, store, { kind: 'cup' })).toEqual([]);
    expect(fixesFor({ ...need, qty: 2 }, store, undefined)).toEqual([]);
  });
});

test('ways to cover: the least money in time, the least money at all, the soonest, one kit alone', async () => {
  const need = (id: string, kind: string): Need => ({ id, kind, qty: 1, dims: {}, policy: 'replace' });
  const kit = (id: string, price: number, stock: number, leadDays: number, kinds: readonly string[]) => ({
    id,
    price,
    stock,
    leadDays,
    items: kinds.map((kind) => ({ kind, qty: 1, dims: {} })),
  });
  const kits = [kit('all', 30, 0, 4, ['cup', 'boot']), kit('here', 50, 1, 9, ['cup', 'boot']), kit('cups', 9, 1, 2, ['cup'])];
  const sundries = [{ id: 'boot', kind: 'boot', dims: {}, price: 5, stock: 0, leadDays: 7 }];
  const sets = await coverSets([need('a', 'cup'), need('b', 'boot')], { kits, sundries, promiseDays: 5, allowUnverified: false });
  const said = (set: (typeof sets)['best'] | null) => set && [set.picks.map((p) => p.id), set.price, set.leadDays];
  expect(said(sets.best)).toEqual([['all'], 30, 4]);
  expect(said(sets.cheapest)).toEqual([['cups', 'boot'], 14, 7]);
  expect(said(sets.soonest)).toEqual([['here'], 50, 0]);
  expect(said(sets.single)).toEqual([['all'], 30, 4]);
});

describe('finding', () => {
  test.each<[string, 'mm' | 'in', readonly (readonly [string, number | null])[]]>([
    [
      '7/8 boot',
      'mm',
      [
        ['7/8', 22.225],
        ['boot', null],
      ],
    ],
    ['1 1/8 in', 'mm', [['1 1/8 in', 28.575]]],
    ['22.2 mm', 'in', [['22.2 mm', 22.2]]],
    ['22,2', 'mm', [['22,2', 22.2]]],
    ['0.875in', 'mm', [['0.875in', 22.225]]],
    ['M10 x 1.0', 'mm', [['m10x1', null]]],
    ['3/8-24', 'mm', [['3/8-24', null]]],
    ['K-118', 'mm', [['k-118', null]]],
    ['  ', 'mm', []],
  ])('%s asks for %j', (query, unit, want) => {
    const terms = termsOf(query, unit);
    expect(terms.map((t) => t.text)).toEqual(want.map((w) => w[0]));
    for (const [i, t] of terms.entries()) {
      const mm = want[i]?.[1] ?? null;
      if (mm === null) expect(t.mm).toBeNull();
      else expect(((t.mm?.[0] ?? 0) + (t.mm?.[1] ?? 0)) / 2).toBeCloseTo(mm, 9);
    }
  });

  test('every term must be met; a number that begins so comes first', () => {
    const index = [article({ number: 'A-10', name: 'like K-1' }), article({ number: 'K-1', name: 'cup kit' })].map(indexArticle);
    expect(search(index, termsOf('k-1', 'mm'), 9).found.map((a) => a.number)).toEqual(['K-1', 'A-10']);
    expect(search(index, termsOf('k-1 cup', 'mm'), 9).inAll).toBe(1);
  });
});

test('a fitment learns the middle of what was measured, and keeps what it states', () => {
  const strokes = (...counts: readonly (readonly [number, number])[]) => counts.map(([mm, n]) => [`strokeMm ${mm}`, n] as const);
  const seen = seenValues([
    ['', 3],
    ...strokes([30, 1], [28.2, 1], [28.6, 1]),
    ['boreMm 19', 3],
    ['castingMark "DN 2"', 2],
    ['castingMark "ON 2"', 1],
  ]);
  expect(withLearned({ boreMm: 22.225 }, seen)).toEqual({ boreMm: 22.225, strokeMm: 28.6, castingMark: 'DN 2' });
  expect(withLearned({}, seenValues(strokes([28.2, 1], [28.6, 1]))).strokeMm).toBeCloseTo(28.4, 9);
  expect(withLearned({}, seenValues(strokes([28.2, 3], [28.6, 2], [40, 0]))).strokeMm).toBe(28.2);
  const f = { maker: 'Brakkel', machine: 'dumper', yearFrom: 1980, yearTo: null, position: 'rear' } as Fitment;
  expect([f, { ...f, yearTo: 1990 }, { ...f, yearFrom: null }].map(sayFitment)).toEqual([
    'Brakkel dumper, 1980 on, rear',
    'Brakkel dumper, 1980–1990, rear',
    'Brakkel dumper, rear',
  ]);
});

test('a worksheet stands whole in its address; what is no reading is left out', () => {
  const measured = { boreMm: { value: 20.66 }, portThreads: ['M10x1', '3/8-24'], outletCount: 0, castingMark: 'DN 2?' };
  expect(measuredOf(Object.fromEntries(new URLSearchParams(queryOf(measured))))).toEqual(measured);
  expect(measuredOf({ boreMm: 'wide', strokeMm: '-3', outletCount: 'two', castingMark: ' ', portThreads: ' , ' })).toEqual({});
});
