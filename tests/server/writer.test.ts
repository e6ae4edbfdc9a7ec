import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { eq, sql } from 'drizzle-orm';
import { beforeAll, describe, expect, test } from 'vitest';
import { type Db, migrateDb, openDb } from '@/db/engine/connection';
import { queueWrites } from '@/db/engine/writer';
import { customers, jobs } from '@/db/tables';
import { ownFolder } from './shop';

const folder = ownFolder();
const url = `file:${join(folder, 'writer.db')}`;
let db: Db;

beforeAll(async () => {
  db = await openDb(url);
  await migrateDb(db);
});

const row = (id: string) => ({ id, name: id, phone: '', createdAt: 0 });
const count = async (): Promise<number> => {
  const [found] = await db.select({ n: sql<number>`count(*)` }).from(customers);
  return found?.n ?? 0;
};
/** How late a timer of 10 ms is at worst while some work goes on: a stopped event loop shows here. */
const latest = async (work: Promise<unknown>): Promise<number> => {
  let [worst, at] = [0, performance.now()];
  const clock = setInterval(() => {
    worst = Math.max(worst, performance.now() - at - 10);
    at = performance.now();
  }, 10);
  await work.finally(() => clearInterval(clock));
  return worst;
};

describe('the file', () => {
  test('is in write-ahead logging, checks foreign keys, and acknowledges only what is durable', async () => {
    const client = createClient({ url });
    const pragma = async (name: string) => (await client.execute(`PRAGMA ${name}`)).rows[0]?.[name];
    expect([await pragma('journal_mode'), await pragma('foreign_keys'), await pragma('synchronous')]).toEqual(['wal', 1, 2]);
    client.close();
  });

  test('refuses a row whose parent is not there', async () => {
    const orphan = { id: 'j', customerId: 'nobody', machine: '', promisedAt: 0, createdAt: 0 };
    await expect(db.insert(jobs).values(orphan)).rejects.toThrow();
    expect(await db.select().from(jobs)).toEqual([]);
  });

  test('migrates once: a second start changes nothing', async () => {
    await db.insert(customers).values(row('kept'));
    await migrateDb(db);
    expect(await count()).toBe(1);
  });
});

describe('the writer queue', () => {
  test('50 parallel saves that wait inside their transaction: none lost, none late, nobody stopped', async () => {
    const before = await count();
    const save = (i: number) =>
      db.transaction(async (tx) => {
        await tx.select().from(customers);
        await tx.insert(customers).values(row(`p${i}`));
        await tx
          .update(customers)
          .set({ phone: String(i) })
          .where(eq(customers.id, `p${i}`));
      });
    const started = performance.now();
    const worst = await latest(Promise.all(Array.from({ length: 50 }, (_, i) => save(i))));
    expect(await count()).toBe(before + 50);
    expect(performance.now() - started).toBeLessThan(20_000);
    // Without the queue the loop stands still until the busy timeout of 5 s.
    expect(worst).toBeLessThan(3000);
  });

  test('single writes wait their turn behind an open transaction, reads do not', async () => {
    const order: string[] = [];
    let finish: () => void = () => {};
    const open = new Promise<void>((resolve) => {
      finish = resolve;
    });
    const transaction = db.transaction(async (tx) => {
      await tx.insert(customers).values(row('slow'));
      await open;
      order.push('transaction');
    });
    const single = db
      .insert(customers)
      .values(row('single'))
      .then(() => order.push('single'));
    const read = count().then(() => order.push('read'));
    await read;
    finish();
    await Promise.all([transaction, single]);
    expect(order).toEqual(['read', 'transaction', 'single']);
  });

  test('a transaction that throws is rolled back and gives its turn on', async () => {
    const before = await count();
    const failing = db.transaction(async (tx) => {
      await tx.insert(customers).values(row('gone'));
      throw new Error('on purpose');
    });
    await expect(failing).rejects.toThrow('on purpose');
    await db.insert(customers).values(row('after'));
    expect(await count()).toBe(before + 1);
  });

  test('a transaction that cannot open gives its turn on', async () => {
    const client = createClient({ url });
    const open = client.transaction.bind(client);
    let refusals = 1;
    client.transaction = async () => {
      refusals -= 1;
      if (refusals >= 0) throw new Error('no lock');
      return open('write');
    };
    const queued = queueWrites(client);
    await expect(queued.transaction('write')).rejects.toThrow('no lock');
    await queued.execute("insert into customers (id, name, phone, created_at) values ('q', 'q', '', 0)");
    const tx = await queued.transaction('write');
    await tx.execute("update customers set phone = '7' where id = 'q'");
    await tx.commit();
    expect((await db.select().from(customers).where(eq(customers.id, 'q')))[0]?.phone).toBe('7');
    client.close();
  });
});
