import { AsyncLocalStorage } from 'node:async_hooks';
import { existsSync } from 'node:fs';
import { getTableName, sql } from 'drizzle-orm';
import { beforeAll, expect, test } from 'vitest';
import { jobTruth } from '@/core/practice/job/truth';
import { followChanges, type UnitChanged } from '@/db/engine/changes';
import { closePractice, practiceDb, practiceFile, practiceNow, shopDb, theDb } from '@/db/engine/connection';
import { beginJob, endJob, jobNow, jobsOf } from '@/db/practice/jobs';
import { release } from '@/db/release/release';
import { rulesInForce } from '@/db/rules/rules';
import { practiceJobs, practiceTries, stockMoves, unitEvents, units } from '@/db/tables';
import { seeded } from '../../devices/hand/random';
import { Work } from '../../devices/hand/work';
import { SOUND } from '../../devices/rig/chamber';
// @ts-expect-error: scripts have no types
import { practiceJobOf } from '../../scripts/request.mjs';
import { openShop, PEOPLE, type Shop, START } from './shop';

// A whole job on a practice unit: by the same actions as real work, in a database of its own.

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
  globalThis.eddrinPlace = new AsyncLocalStorage();
});

const counts = async () =>
  Object.fromEntries(
    await Promise.all(
      [units, unitEvents, stockMoves, practiceTries].map(async (t) => {
        const [row] = await shop.db.select({ n: sql<number>`count(*)` }).from(t);
        return [getTableName(t), row?.n] as const;
      }),
    ),
  );
const reasons = (r: { readonly ok: boolean; readonly error?: unknown }) =>
  r.ok ? [] : (r.error as { readonly reasons: readonly string[] }).reasons;

test('goes from the strip to the rig at the real stations, and nothing of it is in the shop', async () => {
  await shop.at('judge');
  const before = await counts();
  const heard: UnitChanged[] = [];
  const leave = followChanges((c) => heard.push(c));
  const begun = await beginJob(shop.db, PEOPLE.tech, START, { id: 'job-a', family: 'wheel-double', seed: 5 });
  if (!begun.ok) throw new Error('not begun');
  const { job } = begun.value;
  expect(await beginJob(shop.db, PEOPLE.tech, START, { id: 'job-a', family: 'wheel-double', seed: 5 })).toEqual(begun);
  expect(reasons(await beginJob(shop.db, PEOPLE.tech, START, { id: 'job-b', family: 'slave', seed: 6 }))[0]).toMatch(
    /have a practice unit/,
  );
  const db = await practiceDb(job);
  const work = new Work(db, `practice-${job}`, START, seeded(3), { bench: PEOPLE.tech, lead: PEOPLE.lead });
  await work.strip();
  await work.clean();
  await work.gauge();
  await work.judge('sound');
  await work.kit();
  await work.closeUp();
  await work.set();
  await work.prove(SOUND);
  leave();
  expect(heard).toEqual([]);
  expect(await counts()).toEqual(before);
  const place = globalThis.eddrinPlace as AsyncLocalStorage<number | undefined>;
  const change = { ...work.next('released', '', PEOPLE.lead) };
  expect(reasons(await place.run(job, () => release(db, change)))[0]).toMatch(/not released/);
  const now = await jobNow(shop.db, job);
  expect([now?.record.unit.station, now?.personId]).toEqual(['release', 'tess']);
  expect(now?.truth).toEqual(jobTruth(5, 'wheel-double', (await rulesInForce(shop.db)).rules));

  expect(reasons(await endJob(shop.db, PEOPLE.other, START, job))).toEqual(['You have no such practice unit.']);
  expect((await endJob(shop.db, PEOPLE.tech, START + 1, job)).ok).toBe(true);
  expect(reasons(await endJob(shop.db, PEOPLE.tech, START + 1, job))).toEqual(['You have no such practice unit.']);
  const [own] = await jobsOf(shop.db, PEOPLE.tech.id);
  expect([own?.tag, own?.endedAt]).toEqual(['TRY-0001', START + 1]);
  // It proved on a sound rig: whether that is as it was follows from the truth, which is its seed’s.
  const held = own?.compared.find((c) => c.what === 'How it held');
  expect(held?.verdict).toBe(now?.truth.leak === null ? 'found' : 'otherwise');
  // No mark of its own was drawn; all else was looked at.
  const missed = own?.compared.filter((c) => c.verdict === 'not looked at').map((c) => c.what) ?? [];
  expect(missed.filter((what) => !what.startsWith('The mark at'))).toEqual([]);
  expect(existsSync(practiceFile(job))).toBe(false);
  expect(await jobsOf(shop.db, PEOPLE.other.id)).toEqual([]);
  expect(await counts()).toEqual(before);
  expect(await shop.db.$count(practiceJobs)).toBe(1);
});

test('a request is of a practice job by its address alone, and of none that has ended', async () => {
  const of = (url: string, referer?: string) => practiceJobOf({ url, headers: referer === undefined ? {} : { referer } });
  expect(
    ['/units/TRY-0007', '/units/try-7/gauge', '/units/TRY-0007/gauge?pot=2', '/api/v1/units/TRY-7/section.svg'].map((u) => of(u)),
  ).toEqual([7, 7, 7, 7]);
  const shops = [
    '/',
    '/units/SQ-0007/gauge',
    '/day?x=/units/TRY-7',
    '/units/TRY-7/options',
    '/units/TRY-7/hand-over',
    '/api/v1/units/TRY-7/photos',
  ];
  expect(shops.map((u) => of(u))).toEqual(shops.map(() => undefined));
  expect(of('/api/v1/rig/stream?page=1', 'http://shop/units/TRY-0007/prove')).toBe(7);
  expect(of('/api/v1/rig/stream', 'http://shop/units/SQ-0007/prove')).toBeUndefined();
  expect(of('/api/v1/day/promise', 'http://shop/units/TRY-0007/prove')).toBeUndefined();

  const begun = await beginJob(shop.db, PEOPLE.other, START, { id: 'job-c', family: 'slave', seed: 9 });
  if (!begun.ok) throw new Error('not begun');
  const place = globalThis.eddrinPlace as AsyncLocalStorage<number | undefined>;
  const within = <T>(job: number | undefined, f: () => T): T => place.run(job, f);
  expect(within(begun.value.job, practiceNow)).toBe(begun.value.job);
  expect(await within(begun.value.job, theDb)).not.toBe(await shopDb());
  expect(await within(undefined, theDb)).toBe(await shopDb());
  expect(await within(999_999, theDb)).toBe(await shopDb());
  expect(existsSync(practiceFile(999_999))).toBe(false);
  await endJob(shop.db, PEOPLE.other, START, begun.value.job);
  expect(within(begun.value.job, practiceNow)).toBeUndefined();
  closePractice(begun.value.job);
});
