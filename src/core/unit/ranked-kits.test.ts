import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { piecesOf } from '../close-up/piece';
import { FAMILIES } from '../family/families';
import type { Need } from '../kit/need';
import type { SetAside } from '../kit/set-aside';
import { type Article, stocked } from '../store/article';
import { emptyTray } from '../strip/tray';
import type { TrayPart } from '../strip/tray-schema';
import { inBag, shortOf, spareIn } from './facts-of';
import { asStore, type NamedNeed, namedNeeds, rankedKits, shortPart, toMeasure } from './ranked-kits';
import type { UnitRecord } from './unit-record';

const NOW = 1_000_000_000_000;
const article = (id: string, more: Partial<Article>, qty = 1) =>
  stocked(
    {
      id,
      number: id,
      type: 'kit',
      name: id,
      price: 10,
      leadDays: 3,
      note: '',
      supersededBy: null,
      reorderAt: null,
      items: [],
      ...more,
    },
    [{ id: `${id}-lot`, articleId: id, code: 'L', receivedAt: 0, expiresAt: null, fault: '', qty }],
    NOW,
  );
const item = (kind: string, qty: number, dims: object = {}) => ({ kind, name: kind, qty, dims: { ...dims } });

describe('kits, ranked', () => {
  const needs: readonly Need[] = [
    { id: 'cup', kind: 'cup', qty: 2, dims: { boreMm: 19.05 }, policy: 'replace' },
    { id: 'boot', kind: 'boot', qty: 1, dims: {}, policy: 'replace' },
    { id: 'cap', kind: 'bleed-cap', qty: 1, dims: {}, policy: 'prefer' },
  ];
  const kits = fc.array(
    fc.tuple(
      fc.array(
        fc.tuple(
          fc.constantFrom('cup', 'boot', 'bleed-cap', 'circlip'),
          fc.integer({ min: 1, max: 3 }),
          fc.constantFrom(19, 19.05, 22.225, null),
        ),
        {
          minLength: 1,
          maxLength: 3,
        },
      ),
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 0, max: 1 }),
    ),
    { maxLength: 12 },
  );

  property.prop([kits, fc.integer({ min: 1, max: 6 })])('asked for the best few, gives the head of the whole ranking', (some, most) => {
    const store = some.map(([items, price, qty], i) =>
      article(
        `k${i}`,
        {
          price: price + i / 100,
          items: items.map(([kind, n, boreMm]) => item(kind, n, kind === 'cup' && boreMm !== null ? { boreMm } : {})),
        },
        qty,
      ),
    );
    expect(rankedKits(needs, store, most).map((r) => [r.kit.id, r.match.coverage])).toEqual(
      rankedKits(needs, store)
        .slice(0, most)
        .map((r) => [r.kit.id, r.match.coverage]),
    );
  });

  test('sundries are no kits, and what has a successor is not ordered any more', () => {
    const store = [
      article('old', { supersededBy: 'new', items: [item('cup', 2, { boreMm: 19 })] }),
      article('s', { type: 'sundry', items: [item('boot', 1)] }),
      article('empty', { type: 'sundry' }),
    ];
    expect(rankedKits(needs, store).map((r) => r.kit.id)).toEqual(['old']);
    const asked = asStore(store, 4, true);
    expect(asked.kits.map((k) => [k.id, k.stock, k.leadDays])).toEqual([['old', 1, null]]);
    expect(asked.sundries.map((s) => [s.id, s.kind, s.leadDays])).toEqual([['s', 'boot', 3]]);
    expect([asked.promiseDays, asked.allowUnverified]).toEqual([4, true]);
  });

  test('what to measure: on the unit what the piece states, on the piece what the unit was measured for', () => {
    expect(toMeasure({ dims: { idMm: 10, odMm: null } }, { dims: { odMm: 28, lengthMm: 5, idMm: null } })).toEqual({
      onUnit: ['odMm', 'lengthMm'],
      onPiece: ['idMm'],
    });
    expect(toMeasure({ dims: { idMm: 10 } }, { dims: { idMm: 10 } })).toEqual({ onUnit: [], onPiece: [] });
  });
});

describe('a unit and the bags set aside for it', () => {
  const family = FAMILIES['wheel-double'];
  const tray = emptyTray(family, (s) => s.id).map(
    (p): TrayPart => ({
      ...p,
      found: 'present',
      condition: 'good',
      fate: ['cup', 'boot'].includes(p.kind) ? 'replaced' : 'refitted',
    }),
  );
  const bag = (more: Partial<SetAside>): SetAside => ({
    id: 'b',
    articleId: 'a',
    lotId: 'l',
    number: 'K-1',
    name: 'kit',
    lotCode: 'L',
    expiresAt: null,
    qty: 1,
    items: [item('cup', 2, { boreMm: 22.225 }), item('boot', 2), item('spring', 1)],
    at: 1,
    openedAt: null,
    openedBy: null,
    findings: [],
    kept: [],
    spoilt: [],
    ...more,
  });
  const unit = (...setAside: readonly SetAside[]) =>
    ({ family, tray, setAside, unit: { geometry: { nominalMm: 22.225 }, morePots: [] } }) as unknown as UnitRecord;
  const short = (...bags: readonly SetAside[]) => shortOf(unit(...bags)).map((n) => [n.id, n.qty]);

  test('needs are named as on the tray, with the part they belong to', () => {
    expect(namedNeeds(unit()).map((n) => [n.name, n.partId, n.policy])).toEqual(
      tray.filter((p) => p.fate === 'replaced').map((p) => [p.name, p.id, 'replace']),
    );
  });

  test('nothing set aside leaves all short; a whole bag nothing, and its spring over', () => {
    expect(short()).toHaveLength(4);
    expect(short(bag({}))).toEqual([]);
    expect(spareIn(unit(bag({})))).toEqual([{ bagId: 'b', item: 2, qty: 1 }]);
  });

  test('what is missing, wrong or kept is not there; what is extra is', () => {
    expect(short(bag({ findings: [{ what: 'missing', item: 0, qty: 1 }] }))).toHaveLength(1);
    expect(short(bag({ findings: [{ what: 'wrong', item: 0, dims: { boreMm: 25.4 }, note: '' }] }))).toHaveLength(2);
    expect(short(bag({ kept: [{ item: 1, qty: 2 }] }))).toHaveLength(2);
    const extra = { what: 'extra', kind: 'cup', name: 'cup', qty: 1, dims: { boreMm: 22.225 } } as const;
    expect(short(bag({ findings: [{ what: 'missing', item: 0, qty: 1 }, extra] }))).toEqual([]);
    expect(inBag(bag({ qty: 2, findings: [extra] })).map((i) => [i.kind, i.qty])).toEqual([
      ['cup', 4],
      ['boot', 4],
      ['spring', 2],
      ['cup', 1],
    ]);
  });

  test('a place is given the piece that is really there; what is missing, wrong or spoilt fits none', () => {
    const drawer = bag({ id: 'd', items: [item('cup', 2, { boreMm: 22.225 })] });
    const given = (more: Partial<SetAside>) => {
      const pieces = piecesOf(unit(bag(more), drawer));
      return ['left-cup', 'right-cup'].map((slot) => {
        const piece = pieces.get(slot);
        return piece?.kind === 'bag' ? piece.bag.id : piece?.kind;
      });
    };
    expect(given({})).toEqual(['b', 'b']);
    expect(given({ findings: [{ what: 'missing', item: 0, qty: 1 }] })).toEqual(['b', 'd']);
    expect(given({ findings: [{ what: 'wrong', item: 0, dims: { boreMm: 25.4 }, note: '' }] })).toEqual(['d', 'd']);
    expect(given({ spoilt: [{ item: 0, qty: 2 }] })).toEqual(['d', 'd']);
  });

  test('two bags make up for each other, and what neither is needed for is over', () => {
    const [cups, boots] = [bag({ id: 'c', items: [item('cup', 3, { boreMm: 22.2 })] }), bag({ id: 'd', items: [item('boot', 2)] })];
    expect(short(cups)).toHaveLength(2);
    expect(short(cups, boots)).toEqual([]);
    expect(spareIn(unit(cups, boots))).toEqual([{ bagId: 'c', item: 0, qty: 1 }]);
  });

  test('a part that is short is made good by a drawer or by the old one; one that the unit came without has no old one', () => {
    const store = [
      article('s', { type: 'sundry', items: [item('boot', 1)] }),
      article('gone', { type: 'sundry', items: [item('boot', 1)] }, 0),
    ];
    const [need] = namedNeeds(unit()).filter((n) => n.kind === 'boot') as [NamedNeed];
    const { fixes, name, qty } = shortPart(unit(), need, store);
    expect([name, qty, fixes.map((f) => (f.kind === 'sundry' ? f.number : f.kind))]).toEqual(['left boot', 1, ['s', 'reuse-old']]);
    const without = { ...unit(), tray: tray.map((p): TrayPart => ({ ...p, found: 'absent' })) };
    expect(shortPart(without, need, store).fixes.map((f) => f.kind)).toEqual(['sundry']);
  });
});
