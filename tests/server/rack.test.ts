import { sql } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import { BOOK_SORTS, findUnits, leftUnits, onTheRack } from '@/db/rack/rack';
import { leave } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop, START } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

describe('the rack', () => {
  test('holds what is in the shop, the next promise first, with what its tray shows', async () => {
    const late = await shop.book({ promisedAt: START + 9000, machine: 'Tram works car' });
    const soon = await shop.book({ promisedAt: START + 1000, complaints: ['spongy', 'pulls'], complaintText: 'since spring' });
    const { units: trays, inAll } = await onTheRack(shop.db);
    expect(inAll).toBe(2);
    expect(trays.map((t) => t.id)).toEqual([soon, late]);
    expect(trays[0]).toMatchObject({ station: 'strip', outcome: null, complaint: 'spongy · pulls to one side · since spring' });
  });

  test('moves a tray by the work, and lets it go when it leaves', async () => {
    const unitId = await shop.book();
    const station = async (): Promise<string | undefined> => (await onTheRack(shop.db)).units.find((t) => t.id === unitId)?.station;
    const work = shop.worker(unitId);
    await work.strip();
    expect(await station()).toBe('clean');
    await work.clean();
    expect(await station()).toBe('gauge');
    const before = (await leftUnits(shop.db, null, 9)).inAll;
    const change = await shop.change(unitId, 'exited', PEOPLE.lead);
    await leave(shop.db, change, 'returned');
    expect(await station()).toBeUndefined();
    const left = await leftUnits(shop.db, null, 9);
    expect([left.inAll, left.units[0]?.id, left.units[0]?.exit]).toEqual([before + 1, unitId, 'returned']);
  });

  test('the book goes on page by page, also over units that left in the same moment', async () => {
    for (let i = 0; i < 5; i++) {
      const unitId = await shop.book();
      await leave(shop.db, { ...(await shop.change(unitId, 'exited', PEOPLE.lead)), at: START + 1e9 }, 'returned');
    }
    for (const sort of BOOK_SORTS.flatMap((by) => (['up', 'down'] as const).map((way) => ({ by, way })))) {
      const { units: all, inAll } = await leftUnits(shop.db, null, 100, sort);
      const keys = all.map((u) => (sort.by === 'tag' ? u.tagNo : (u.exitAt as number) * 1e4 + u.tagNo));
      expect(keys).toEqual(keys.toSorted((a, b) => (sort.way === 'up' ? a - b : b - a)));
      const paged: string[] = [];
      for (let behind: Parameters<typeof leftUnits>[1] = null; ; ) {
        const { units } = await leftUnits(shop.db, behind, 2, sort);
        paged.push(...units.map((u) => u.id));
        const last = units.at(-1);
        if (last === undefined) break;
        behind = { exitAt: last.exitAt as number, tagNo: last.tagNo };
      }
      expect([paged, new Set(paged).size]).toEqual([all.map((u) => u.id), inAll]);
    }
  });
});

describe('find', () => {
  const found = async (text: string): Promise<readonly string[]> => (await findUnits(shop.db, text)).units.map((t) => t.id);

  test('knows a tag, a machine, a customer and a mark on the casting, in the shop or not', async () => {
    const unitId = await shop.book({ machine: 'Harbour straddle truck', customer: 'Skerrin Quay', identityMarks: 'QX 77' });
    const { tagNo } = (await shop.record(unitId)).unit;
    for (const text of [String(tagNo), `sq-${tagNo}`, 'straddle', 'skerrin q', 'qx 77', '  Quay '])
      expect([text, await found(text)]).toEqual([text, [unitId]]);
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'scrapped');
    expect(await found('straddle')).toEqual([unitId]);
  });

  test('every word must stand somewhere; one or two letters begin a word; the tag itself comes first', async () => {
    const unitId = await shop.book({ machine: 'Quarry dumper', customer: 'Örvik Stone', identityMarks: 'CAST 4' });
    expect([await found('örvik dump'), await found('st quarry'), await found('qu ör')]).toEqual([[unitId], [unitId], [unitId]]);
    expect([await found('quarry skerrin'), await found('rv')]).toEqual([[], []]);
    const { tagNo } = (await shop.record(unitId)).unit;
    const later = await shop.book({ machine: `Loader ${tagNo}00` });
    expect((await found(String(tagNo)))[0]).toBe(unitId);
    expect(await found(`loader ${tagNo}00`)).toEqual([later]);
  });

  test('says how many there are where it does not show all', async () => {
    for (let i = 0; i < 61; i++) await shop.book({ machine: 'Forest skidder' });
    const many = await findUnits(shop.db, 'skidder');
    expect([many.units.length, many.inAll, many.counted]).toEqual([60, 61, 'all']);
  });

  test('follows what is corrected later: the customer’s name, the machine', async () => {
    const unitId = await shop.book({ machine: 'Peat cutter', customer: 'Moss Works' });
    await shop.db.run(sql`update customers set name = 'Heather Works' where name = 'Moss Works'`);
    await shop.db.run(sql`update jobs set machine = 'Peat harvester' where machine = 'Peat cutter'`);
    expect([await found('moss works'), await found('heather'), await found('peat cutter'), await found('harvester')]).toEqual([
      [],
      [unitId],
      [],
      [unitId],
    ]);
  });

  test('takes signs of the query language as what they are', async () => {
    expect(await found("100% '; drop table units; --")).toEqual([]);
    for (const text of ['_x_', '%', '_', '\\']) expect([text, await found(text)]).toEqual([text, []]);
    expect((await onTheRack(shop.db)).inAll).toBeGreaterThan(0);
  });
});
