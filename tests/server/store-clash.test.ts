import { beforeAll, describe, expect, test } from 'vitest';
import type { Result } from '@/core/result';
import { setAside } from '@/db/kit/take';
import { articleOf } from '@/db/store/catalogue';
import { correct, movesOf, receive } from '@/db/store/stock';
import { undoLast } from '@/db/unit/undo';
import { openShop, PEOPLE, type Shop, START } from './shop';

// Many at the same shelf at once: nothing is lost, nothing is taken twice, nothing goes below none.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const stockOf = async (number: string): Promise<number> => (await articleOf(shop.db, number, START))?.stock ?? -1;
const refusals = (results: readonly Result<unknown, unknown>[]): number => results.filter((r) => !r.ok).length;

describe('at one shelf', () => {
  test('twenty deliveries at once are all there, each once, however often they are sent', async () => {
    const before = await stockOf('K-104');
    const deliveries = Array.from({ length: 20 }, (_, i) => ({
      change: { id: `d-${i}`, person: PEOPLE.counter, at: START + i },
      what: { articleId: 'art-K-104', lot: `N${i % 4}`, qty: 2, expiresAt: START + 9e10, orderId: null },
    }));
    const sent = [...deliveries, ...deliveries];
    const results = await Promise.all(sent.map(({ change, what }) => receive(shop.db, change, what)));
    expect(refusals(results)).toBe(0);
    expect(await stockOf('K-104')).toBe(before + 40);
    const article = await articleOf(shop.db, 'K-104', START);
    expect(article?.lots.filter((l) => l.code.startsWith('N')).map((l) => [l.code, l.qty])).toEqual([
      ['N0', 10],
      ['N1', 10],
      ['N2', 10],
      ['N3', 10],
    ]);
  });

  test('eight units want five kits: five get one, three are told, none is left', async () => {
    const units = await Promise.all(Array.from({ length: 8 }, () => shop.at('kit', { nominalMm: 19 })));
    const there = await stockOf('K-132');
    const changes = await Promise.all(units.map((u) => shop.change(u, 'kit-set-aside')));
    const results = await Promise.all(changes.map((c) => setAside(shop.db, c, { articleId: 'art-K-132', qty: 1 })));
    expect(there).toBe(5);
    expect(refusals(results)).toBe(3);
    expect(await stockOf('K-132')).toBe(0);
    const aside = await Promise.all(units.map(async (u) => (await shop.record(u)).setAside.length));
    expect(aside.reduce((a, b) => a + b, 0)).toBe(5);
  });

  test('the same request sent twice by one page takes one', async () => {
    const unitId = await shop.at('kit');
    const before = await stockOf('K-131');
    const change = await shop.change(unitId, 'kit-set-aside');
    const both = await Promise.all([1, 2].map(() => setAside(shop.db, change, { articleId: 'art-K-131', qty: 1 })));
    expect(both[0]).toEqual(both[1]);
    expect(await stockOf('K-131')).toBe(before - 1);
  });

  test('a count while a kit is being taken leaves what was counted, less what was taken after', async () => {
    const unitId = await shop.at('kit');
    const lot = (await articleOf(shop.db, 'K-151', START))?.lots.at(-1);
    const change = await shop.change(unitId, 'kit-set-aside');
    await Promise.all([
      correct(
        shop.db,
        { id: 'count-1', person: PEOPLE.counter, at: START },
        { lotId: lot?.id ?? '', counted: 7, reason: 'counted', note: '' },
      ),
      setAside(shop.db, change, { articleId: 'art-K-151', qty: 1 }),
    ]);
    const moves = await movesOf(shop.db, 'art-K-151');
    expect(moves.reduce((sum, m) => sum + m.qty, 0)).toBe(await stockOf('K-151'));
    expect(await stockOf('K-151')).toBeGreaterThanOrEqual(0);
  });

  test('what two undo comes back once each', async () => {
    const units = [await shop.at('kit'), await shop.at('kit')];
    const before = await stockOf('K-131');
    for (const u of units) await setAside(shop.db, await shop.change(u, 'kit-set-aside'), { articleId: 'art-K-131', qty: 2 });
    expect(await stockOf('K-131')).toBe(before - 4);
    const changes = await Promise.all(units.map((u) => shop.change(u, 'undone')));
    await Promise.all(changes.map((c) => undoLast(shop.db, c)));
    expect(await stockOf('K-131')).toBe(before);
    for (const u of units) expect((await shop.record(u)).setAside).toEqual([]);
  });

  test('a lot is never counted into one that is not there', async () => {
    const none = await correct(
      shop.db,
      { id: 'count-2', person: PEOPLE.counter, at: START },
      { lotId: 'no-such-lot', counted: 3, reason: 'counted', note: '' },
    );
    expect(none).toEqual({ ok: false, error: { code: 'refused', reasons: ['There is no such lot.'] } });
  });
});
