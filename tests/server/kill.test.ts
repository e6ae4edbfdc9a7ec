import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { build } from 'esbuild';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { changesIn } from '@/db/engine/event-payload';
import { timers, unitEvents, units } from '@/db/tables';
import { spawnNode } from '../children';
import { startFar } from './far';
import { openShop, type Shop } from './shop';

// Bundled once, beside the packages that it imports: starting it from its sources takes four times as long, fifty times.
const SAVER = join('node_modules', '.cache', `saver-${process.pid}.mjs`);
beforeAll(async () => {
  await build({
    entryPoints: ['tests/server/saver.ts'],
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    outfile: SAVER,
  });
});
afterAll(() => rmSync(SAVER, { force: true }));

/** Starts a process that saves as fast as it can and says each save that was acknowledged; kills it in the middle. */
const saveUntilKilled = (unitId: string, run: number): Promise<readonly string[]> =>
  new Promise((resolve) => {
    const child = spawnNode([SAVER, unitId, String(run)]);
    let said = '';
    child.stdout.on('data', (d) => {
      said += d;
      // Somewhere between the second and the twentieth save.
      if (said.split('\n').length > 2 + ((run * 7) % 18)) child.kill('SIGKILL');
    });
    // A line that was cut off by the kill was not acknowledged to anyone.
    child.on('close', () => resolve(said.split('\n').slice(0, -1)));
  });

test('50 kills in the middle of saving to a file: nothing acknowledged is missing, nothing is half there', async () => {
  await killInSaving(await openShop(), 50);
}, 240_000);

test('8 kills in the middle of saving to a server: what each had begun is undone, and the others go on', async () => {
  const far = await startFar({ EDDRIN_LIBSQL_IDLE_MS: '3000' });
  try {
    await killInSaving(await openShop(far.url), 8);
  } finally {
    far.stop();
  }
}, 240_000);

const killInSaving = async (shop: Shop, kills: number): Promise<void> => {
  const unitId = await shop.book();
  const acknowledged: string[] = [];
  for (let run = 0; run < kills; run += 2)
    acknowledged.push(...(await Promise.all([saveUntilKilled(unitId, run), saveUntilKilled(unitId, run + 1)])).flat());
  const events = await shop.db.select().from(unitEvents).where(eq(unitEvents.unitId, unitId)).orderBy(unitEvents.version);
  const ids = new Set(events.map((e) => e.id));
  expect(acknowledged.length).toBeGreaterThan(kills);
  expect(acknowledged.filter((id) => !ids.has(id))).toEqual([]);
  // Versions without a gap, the unit at the last of them, and for every event its row.
  expect(events.map((e) => e.version)).toEqual(events.map((_, i) => i + 1));
  expect((await shop.db.select().from(units).where(eq(units.id, unitId)))[0]?.version).toBe(events.length);
  const rows = new Set((await shop.db.select({ id: timers.id }).from(timers).where(eq(timers.unitId, unitId))).map((t) => t.id));
  const told = events.flatMap((e) => changesIn(e.payload).flatMap((c) => (c.table === 'timers' ? [c.id] : [])));
  expect(told.filter((id) => !rows.has(id))).toEqual([]);
  expect(rows.size).toBe(told.length);
};
