import { createHash } from 'node:crypto';
import { beforeAll, describe, expect, test } from 'vitest';
import { canonical } from '@/core/release/canonical';
import { findUnits, howManyLeft, leftSince, onTheRack } from '@/db/rack/rack';
import { certificateOf } from '@/db/release/release';
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
    const trays = await onTheRack(shop.db);
    expect(trays.map((t) => t.id)).toEqual([soon, late]);
    expect(trays[0]).toMatchObject({ station: 'strip', outcome: null, complaint: 'spongy · pulls to one side · since spring' });
  });

  test('moves a tray by the work, and lets it go when it leaves', async () => {
    const unitId = await shop.book();
    const station = async (): Promise<string | undefined> => (await onTheRack(shop.db)).find((t) => t.id === unitId)?.station;
    const work = shop.worker(unitId);
    await work.strip();
    expect(await station()).toBe('clean');
    await work.clean();
    expect(await station()).toBe('gauge');
    const before = await howManyLeft(shop.db);
    const change = await shop.change(unitId, 'exited', PEOPLE.lead);
    await leave(shop.db, change, 'returned');
    expect(await station()).toBeUndefined();
    expect(await howManyLeft(shop.db)).toBe(before + 1);
    expect((await leftSince(shop.db, START)).map((t) => [t.id, t.exit])).toContainEqual([unitId, 'returned']);
    expect((await leftSince(shop.db, change.at + 86_400_000)).map((t) => t.id)).not.toContain(unitId);
  });
});

describe('find', () => {
  const found = async (text: string): Promise<readonly string[]> => (await findUnits(shop.db, text)).map((t) => t.id);

  test('knows a tag, a machine, a customer and a mark on the casting, in the shop or not', async () => {
    const unitId = await shop.book({ machine: 'Harbour straddle truck', customer: 'Skerrin Quay', identityMarks: 'QX 77' });
    const { tagNo } = (await shop.record(unitId)).unit;
    for (const text of [String(tagNo), `sq-${tagNo}`, 'straddle', 'skerrin q', 'qx 77', '  Quay '])
      expect([text, await found(text)]).toEqual([text, [unitId]]);
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'scrapped');
    expect(await found('straddle')).toEqual([unitId]);
  });

  test('takes signs of the query language as what they are', async () => {
    expect(await found("100% '; drop table units; --")).toEqual([]);
    for (const text of ['_x_', '%', '_', '\\']) expect([text, await found(text)]).toEqual([text, []]);
    expect((await onTheRack(shop.db)).length).toBeGreaterThan(0);
  });
});

test('a certificate’s hash is that of what it states and of the one before; a changed byte shows', async () => {
  const unitId = await shop.at('release');
  await shop.worker(unitId).release();
  const certificate = await certificateOf(shop.db, unitId);
  const hashOf = (statement: unknown): string =>
    createHash('sha256')
      .update(`${certificate?.previousHash}\n${canonical(statement)}`)
      .digest('hex');
  expect(hashOf(certificate?.statement)).toBe(certificate?.hash);
  expect(hashOf({ ...certificate?.statement, customer: 'Aldwater Orchard' })).not.toBe(certificate?.hash);
});
