import { describe, expect, test } from 'vitest';
import type { Dims } from '../family/dims';
import { FAMILIES } from '../family/families';
import { normalThread } from '../quantity/thread';
import { emptyTray } from '../strip/tray';
import type { TrayPart } from '../strip/tray-schema';
import { rankedKits } from '../unit/ranked-kits';
import { fitOf, sizeDiffers } from './fit';
import { kitMatch } from './kit-match';
import { matchKit } from './match-kit';
import type { Kit, Need } from './need';
import { needsOf } from './needs-of';

const need = (id: string, kind: string, dims: Dims, more: Partial<Need> = {}): Need => ({
  id,
  kind,
  qty: 1,
  dims,
  policy: 'replace',
  ...more,
});
const kit = (id: string, items: Kit['items'], more: Partial<Kit> = {}): Kit => ({ id, price: 10, stock: 1, items, ...more });
const item = (kind: string, dims: Dims, qty = 1) => ({ kind, qty, dims });

describe('does a piece fit', () => {
  test.each<[string, Dims, Dims, string | undefined]>([
    ['19.0 and 19.05 are one bore', { boreMm: 19.05 }, { boreMm: 19 }, 'verified'],
    ['just inside the tolerance', { boreMm: 19 }, { boreMm: 19.06 }, 'verified'],
    ['just outside', { boreMm: 19 }, { boreMm: 19.061 }, 'misfit'],
    ['a height within a millimetre', { lengthMm: 7 }, { lengthMm: 8 }, 'verified'],
    ['a thickness is finer', { thickMm: 1.2 }, { thickMm: 1.45 }, 'misfit'],
    ['a dimension that the piece does not state', { boreMm: 19, lengthMm: 7 }, { boreMm: 19 }, 'unverified'],
    ['one that the need does not state is no matter', { boreMm: 19 }, { boreMm: 19, odMm: 30 }, 'verified'],
    ['null is unknown, not nought', { boreMm: 19, lengthMm: null }, { boreMm: 19 }, 'verified'],
    ['threads, however they are written', { thread: 'M10 × 1.00' }, { thread: 'm10x1' }, 'verified'],
    ['other threads', { thread: 'M10x1' }, { thread: 'M10x1.25' }, 'misfit'],
    ['other dimensions must be equal', { angleDeg: 90 }, { angleDeg: 90.1 }, 'misfit'],
  ])('%s', (_, want, have, kind) => expect(fitOf({ kind: 'cup', dims: want }, { kind: 'cup', dims: have })?.kind).toBe(kind));

  test('of another kind: no question of it', () => {
    expect(fitOf({ kind: 'cup', dims: {} }, { kind: 'boot', dims: {} })).toBeUndefined();
  });

  test('a misfit says every dimension that is out, with want and have', () => {
    expect(fitOf({ kind: 'boot', dims: { idMm: 10, odMm: 28 } }, { kind: 'boot', dims: { idMm: 12, odMm: 30 } })).toEqual({
      kind: 'misfit',
      dims: [
        { dim: 'idMm', want: 10, have: 12 },
        { dim: 'odMm', want: 28, have: 30 },
      ],
    });
  });

  test.each([
    ['M10 × 1.00', 'm10x1'],
    ['M12x1.50', 'm12x1.5'],
    ['3/8-24 UNF', '3/8-24unf'],
    ['m10 X 1.0', 'm10x1'],
    ['M10.00x1.25', 'm10x1.25'],
  ])('%s is %s', (thread, plain) => expect(normalThread(thread)).toBe(plain));

  test('sizes that fit but are not the same are named', () => {
    expect(sizeDiffers({ boreMm: 19.05, lengthMm: 7, thread: 'M10x1' }, { boreMm: 19, lengthMm: 7, thread: 'm10x1' })).toEqual(['boreMm']);
  });
});

describe('does a kit cover a unit', () => {
  const needs = [
    need('cup', 'cup', { boreMm: 22.225 }, { qty: 2 }),
    need('boot', 'boot', { idMm: 10 }),
    need('cap', 'cap', {}, { policy: 'prefer' }),
  ];

  test('covered, missing, surplus and misfits, each by piece', () => {
    const match = matchKit(needs, kit('k', [item('cup', { boreMm: 22.225 }, 3), item('boot', { idMm: 14 }), item('clip', {})]), false);
    expect(match.covered).toEqual([{ needId: 'cup', itemIndex: 0, qty: 2, verified: true }]);
    expect(match.missing).toEqual([
      { needId: 'boot', qty: 1 },
      { needId: 'cap', qty: 1 },
    ]);
    expect(match.surplus).toEqual([
      { itemIndex: 0, qty: 1 },
      { itemIndex: 1, qty: 1 },
      { itemIndex: 2, qty: 1 },
    ]);
    expect(match.misfits).toEqual([{ needId: 'boot', itemIndex: 1, dim: 'idMm', want: 10, have: 14 }]);
    expect(match.coverage).toBeCloseTo(2 / 3, 12);
  });

  test('unverified pieces count only where that is allowed', () => {
    const bare = kit('k', [item('cup', {}, 2), item('boot', { idMm: 10 })]);
    expect(matchKit(needs, bare, false).coverage).toBeCloseTo(1 / 3, 12);
    expect(matchKit(needs, bare, true).coverage).toBe(1);
    expect(matchKit(needs, bare, false).covered.map((c) => c.verified)).toEqual([false, true]);
  });

  test('nothing to replace is covered by anything', () => {
    expect(matchKit([need('cap', 'cap', {}, { policy: 'prefer' })], kit('k', []), false).coverage).toBe(1);
  });

  test('a piece that two needs could take goes where both are served', () => {
    const two = [need('either', 'cup', {}), need('big', 'cup', { boreMm: 25.4 })];
    const match = matchKit(two, kit('k', [item('cup', { boreMm: 25.4 }), item('cup', { boreMm: 19 })]), false);
    expect(match.missing).toEqual([]);
    expect(match.covered.find((c) => c.needId === 'big')?.itemIndex).toBe(0);
  });
});

describe('the best set', () => {
  const ask = async (more: object) =>
    (await kitMatch({ needs: [need('cup', 'cup', { boreMm: 19 }, { qty: 2 })], kits: [], sundries: [], ...more })).best;
  const cups = (id: string, qty: number, price: number, more: Partial<Kit> = {}) =>
    kit(id, [item('cup', { boreMm: 19 }, qty)], { price, ...more });

  test('two small ones beat one large where they are cheaper, and the other way round', async () => {
    expect((await ask({ kits: [cups('pair', 2, 9), cups('one', 1, 4, { stock: 5 })] })).picks).toEqual([
      { type: 'kit', id: 'one', qty: 2 },
    ]);
    expect((await ask({ kits: [cups('pair', 2, 7), cups('one', 1, 4, { stock: 5 })] })).picks).toEqual([
      { type: 'kit', id: 'pair', qty: 1 },
    ]);
  });

  test('at the same price the shorter wait, then the fewer pieces', async () => {
    const kits = [cups('order', 2, 8, { stock: 0, leadDays: 3 }), cups('here', 1, 4, { stock: 2 }), cups('pair', 2, 8, { stock: 1 })];
    expect(await ask({ kits: kits.slice(0, 2) })).toMatchObject({ picks: [{ id: 'here', qty: 2 }], leadDays: 0 });
    expect(await ask({ kits })).toMatchObject({ picks: [{ id: 'pair', qty: 1 }] });
  });

  test('what cannot be there by the day is not counted on', async () => {
    const kits = [cups('late', 2, 1, { stock: 0, leadDays: 9 }), cups('never', 2, 1, { stock: 0, leadDays: null }), cups('dear', 2, 50)];
    expect(await ask({ kits, promiseDays: 5 })).toMatchObject({ picks: [{ id: 'dear', qty: 1 }], price: 50 });
    expect(await ask({ kits })).toMatchObject({ picks: [{ id: 'late', qty: 1 }], leadDays: 9 });
  });

  test('when nothing covers all, the least is left open, then the least is paid', async () => {
    const sundries = [{ id: 's', kind: 'cup', dims: { boreMm: 19 }, price: 3, stock: 1, leadDays: null }];
    expect(await ask({ sundries })).toEqual({
      picks: [{ type: 'sundry', id: 's', qty: 1 }],
      price: 3,
      leadDays: 0,
      uncovered: [{ needId: 'cup', qty: 1 }],
    });
    expect(await ask({})).toEqual({ picks: [], price: 0, leadDays: 0, uncovered: [{ needId: 'cup', qty: 2 }] });
  });
});

describe('what a unit needs', () => {
  const family = FAMILIES['wheel-double'];
  const tray = (news: Readonly<Record<string, Partial<TrayPart>>>): readonly TrayPart[] =>
    emptyTray(family, (s) => s.id).map((p) => ({ ...p, found: 'present', condition: 'good', fate: 'refitted', ...news[p.slotId] }));

  test('is what is to be replaced and what was missing, with what was measured; cups carry the nominal bore', () => {
    const needs = needsOf(
      family,
      tray({
        'left-cup': { fate: 'replaced', dims: { lengthMm: 6 } },
        'left-boot': { found: 'absent', fate: null, dims: {} },
        expander: { fate: 'binned' },
      }),
      () => 22.225,
    );
    expect(needs).toEqual([
      { id: 'left-boot', kind: 'boot', qty: 1, dims: {}, policy: 'replace' },
      { id: 'left-cup', kind: 'cup', qty: 1, dims: { lengthMm: 6, boreMm: 22.225 }, policy: 'replace' },
    ]);
  });

  test('kits are ranked by what they cover, then by what is on the shelf, then by price', () => {
    const needs = [need('a', 'cup', { boreMm: 19 }), need('b', 'boot', {})].map((n) => ({ ...n, name: n.id }));
    const stored = (id: string, kinds: readonly string[], stock: number, price: number) => ({
      id,
      number: id,
      type: 'kit' as const,
      supersededBy: null,
      reorderAt: null,
      lots: [],
      name: id,
      price,
      leadDays: 1,
      note: '',
      stock,
      items: kinds.map((kind) => ({ kind, qty: 1, name: kind, dims: kind === 'cup' ? { boreMm: 19 } : {} })),
    });
    const store = [
      stored('dear', ['cup', 'boot'], 1, 9),
      stored('gone', ['cup', 'boot'], 0, 1),
      stored('half', ['cup'], 5, 1),
      stored('none', ['clip'], 5, 1),
      stored('cheap', ['cup', 'boot'], 1, 5),
    ];
    expect(rankedKits(needs, store).map((r) => r.kit.id)).toEqual(['cheap', 'dear', 'gone', 'half']);
  });
});
