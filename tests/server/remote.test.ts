import { createClient } from '@libsql/client';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { onTheRack } from '@/db/rack/rack';
import { certificateOf } from '@/db/release/release';
import { startWait } from '@/db/unit/waits';
import { type Far, startFar } from './far';
import { openShop, PEOPLE, type Shop } from './shop';

// A shop whose database lies on a server: the same work through the open protocol, over a real libSQL file behind a stand-in.

let far: Far;
let shop: Shop;
beforeAll(async () => {
  far = await startFar();
  shop = await openShop(far.url);
}, 120_000);
afterAll(() => far.stop());

test('the whole route runs, from the counter to the certificate', async () => {
  const unitId = await shop.at('release');
  await shop.worker(unitId).release();
  expect((await certificateOf(shop.db, unitId))?.number).toBe(1);
  expect((await shop.record(unitId)).unit.exit).toBe('released');
  // What was written lies in the server's own file.
  const file = createClient({ url: `file:${far.file}` });
  expect((await file.execute('select count(*) as n from certificates')).rows[0]?.n).toBe(1);
  file.close();
}, 120_000);

describe('two at once', () => {
  test('one of two changes to the same version is refused, with who was quicker', async () => {
    const unitId = await shop.book();
    const changes = await Promise.all([shop.change(unitId, 'wait-started', PEOPLE.tech), shop.change(unitId, 'wait-started', PEOPLE.lead)]);
    const results = await Promise.all(changes.map((c) => startWait(shop.db, c, { label: 'soak', minutes: 5 })));
    expect(results.filter((r) => r.ok).length).toBe(1);
    expect(results.find((r) => !r.ok)).toMatchObject({ ok: false, error: { code: 'stale' } });
    expect((await shop.record(unitId)).timers.length).toBe(1);
  });

  test('each tag is given once', async () => {
    const before = (await onTheRack(shop.db)).units.length;
    const ids = await Promise.all(Array.from({ length: 12 }, () => shop.book()));
    const tags = await Promise.all(ids.map(async (id) => (await shop.record(id)).unit.tagNo));
    expect(new Set(tags).size).toBe(12);
    expect((await onTheRack(shop.db)).units.length).toBe(before + 12);
  });
});

test('another process that writes is waited for, and none of its writes is lost', async () => {
  const other = createClient({ url: far.url });
  const ours = Array.from({ length: 8 }, () => shop.book());
  const theirs = Array.from({ length: 8 }, async (_, i) => {
    const open = await other.transaction('write');
    await open.execute({
      sql: 'insert into customers (id, name, phone, created_at) values (?, ?, ?, 0)',
      args: [`o${i}`, `Other ${i}`, ''],
    });
    await open.commit();
  });
  await Promise.all([...ours, ...theirs]);
  expect((await other.execute("select count(*) as n from customers where name like 'Other %'")).rows[0]?.n).toBe(8);
  other.close();
}, 60_000);

test('a transaction whose client is gone is undone, and holds nobody up for good', async () => {
  const gone = createClient({ url: far.url });
  const open = await gone.transaction('write');
  await open.execute("update customers set name = 'Nobody'");
  gone.close();
  const rows = await shop.db.all<{ name: string }>("select name from customers where name = 'Nobody'" as never);
  expect(rows).toEqual([]);
});
