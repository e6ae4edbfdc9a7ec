import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, test } from 'vitest';
import { STATIONS } from '@/core/station';
import { type Db, migrateDb, openDb } from '@/db/engine/connection';
import { fitmentIndex } from '@/db/identify/fitments';
import { staff } from '@/db/people/people';
import { onTheRack } from '@/db/rack/rack';
import { certificateOf } from '@/db/release/release';
import { wholeStore } from '@/db/store/catalogue';
import { bills, certificates, quotes, unitEvents, units } from '@/db/tables';
import { seedDemo, type Truths } from '../../demo/seed';
import { spawnNode } from '../children';
import { ownFolder, START } from './shop';

describe('the demo shop', () => {
  const folder = ownFolder();
  let db: Db;
  let truths: Truths;
  beforeAll(async () => {
    db = await openDb(`file:${folder}/demo.db`);
    await migrateDb(db);
    truths = await seedDemo(db, START);
    // A whole shop's work, on a machine that others use too.
  }, 180_000);

  test('has units over all stations, released ones with full histories, and a store of kits', async () => {
    const { units: rack } = await onTheRack(db);
    const all = await db.select().from(units);
    expect(all.length).toBeGreaterThanOrEqual(24);
    const stations = new Set(rack.map((t) => t.station));
    for (const station of STATIONS) if (station !== 'book-in') expect([station, stations.has(station)]).toEqual([station, true]);
    const released = all.filter((u) => u.exit === 'released');
    expect(released.length).toBeGreaterThanOrEqual(6);
    for (const unit of released) expect((await certificateOf(db, unit.id))?.statement.proved.length).toBeGreaterThanOrEqual(4);
    const store = await wholeStore(db, START);
    expect([store.filter((a) => a.type === 'kit').length, store.filter((a) => a.type === 'sundry').length]).toEqual([30, 80]);
    expect((await fitmentIndex(db)).entries.length).toBe(60);
    expect(store.filter((a) => a.supersededBy !== null).length).toBe(1);
    expect(store.flatMap((a) => a.lots).filter((l) => l.fault !== '').length).toBe(1);
    expect(store.flatMap((a) => a.lots).filter((l) => l.qty > 0 && (l.expiresAt ?? Infinity) < START).length).toBe(1);
    expect((await staff(db)).length).toBe(5);
    // Quotes and bills stand in every state that a counter meets.
    expect((await db.select().from(quotes)).length).toBe(3);
    expect((await db.select({ kind: bills.kind }).from(bills)).filter((b) => b.kind === 'credit')).toHaveLength(1);
  });

  test('chains its certificates without a gap', async () => {
    const chain = await db.select().from(certificates).orderBy(certificates.number);
    for (const [i, c] of chain.entries()) expect([c.number, c.previousHash]).toEqual([i + 1, i === 0 ? '' : chain[i - 1]?.hash]);
  });

  test('is all in the past, but for its promises; nothing has been judged against an impossible bore', async () => {
    for (const event of await db.select({ at: unitEvents.at }).from(unitEvents)) expect(event.at).toBeLessThanOrEqual(START);
    const outcomes = new Set((await onTheRack(db)).units.flatMap((t) => (t.outcome === null ? [] : [t.outcome])));
    expect([...outcomes].sort()).toEqual(['hone', 'polish', 'reuse', 'sleeve']);
  });

  test('knows which units the stand-in rig is to find leaking', () => {
    expect(Object.keys(truths.rig).length).toBeGreaterThan(0);
  });
});

describe('its command', () => {
  const demo = (...args: readonly string[]) => spawnSync(process.execPath, ['scripts/demo.mjs', ...args], { encoding: 'utf8' });

  test.each<[readonly string[], RegExp]>([
    [['--port', 'many'], /--port takes a number from 1 to 65535/],
    [['--rest'], /Not understood: --rest\. There are --reset, --port N and --help\./],
  ])('%j is refused with what there is', (args, words) => {
    const { status, stderr } = demo(...args);
    expect([status, words.test(stderr)]).toEqual([1, true]);
  });

  test('a taken port is told, with another to try', async () => {
    const taken = createServer();
    await new Promise<void>((resolve) => taken.listen(0, resolve));
    const { port } = taken.address() as { port: number };
    const { status, stderr } = demo('--port', String(port));
    taken.close();
    expect(status).toBe(1);
    expect(stderr).toContain(`Port ${port} is taken. Stop what runs there, or choose another: npm run demo -- --port ${port + 1}`);
  });

  test('a folder that cannot be written is told', () => {
    const env = { ...process.env, EDDRIN_DATA: '/etc/hostname/shop' };
    const { status, stderr } = spawnSync(process.execPath, ['scripts/demo.mjs', '--port', '39999'], { encoding: 'utf8', env });
    expect([status, /The folder \/etc\/hostname\/shop cannot be written/.test(stderr)]).toEqual([1, true]);
  });

  test('a shop that is not the demo is not thrown away', () => {
    const folder = mkdtempSync(join(tmpdir(), 'eddrin-'));
    writeFileSync(join(folder, 'eddrin.db'), 'a shop of somebody’s');
    const env = { ...process.env, EDDRIN_DATA: folder };
    const { status, stderr } = spawnSync(process.execPath, ['scripts/demo.mjs', '--port', '39998', '--reset'], { encoding: 'utf8', env });
    expect([status, /holds a shop that is not the demo; it is not thrown away/.test(stderr)]).toEqual([1, true]);
    expect(readFileSync(join(folder, 'eddrin.db'), 'utf8')).toBe('a shop of somebody’s');
    rmSync(folder, { recursive: true });
  });
});

test('npm start opens no demo, and takes its settings from the environment', () => {
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-'));
  writeFileSync(join(folder, 'demo-pins.json'), '{}');
  const start = (env: Readonly<Record<string, string>>, ...args: readonly string[]) =>
    spawnSync(process.execPath, ['scripts/start.mjs', ...args], { encoding: 'utf8', env: { ...process.env, ...env } });
  expect(start({ EDDRIN_DATA: folder })).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('holds the demo. A shop has a folder of its own'),
  });
  expect(start({ EDDRIN_DATA: `${folder}/a` }, '--port', '1')).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('Not understood: --port 1'),
  });
  expect(start({ EDDRIN_DATA: `${folder}/a`, EDDRIN_PORT: 'x' })).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('EDDRIN_PORT takes a number'),
  });
  rmSync(folder, { recursive: true });
});

describe('the stand-in rig', () => {
  test('stops cleanly when it is told to', async () => {
    const rig = spawnNode(['--import', 'tsx', 'devices/rig/server.ts'], { EDDRIN_RIG_PORT: '0' });
    await new Promise((resolve) => rig.stdout.once('data', resolve));
    const code = new Promise((resolve) => rig.once('exit', resolve));
    rig.kill('SIGTERM');
    expect(await code).toBe(0);
  });
});
