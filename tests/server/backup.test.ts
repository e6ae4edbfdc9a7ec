import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readFileSync,
  readSync,
  renameSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { createClient } from '@libsql/client';
import sharp from 'sharp';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { knownMigrations, schemaOf } from '@/db/backup/check-database';
import { checkShop } from '@/db/backup/check-shop';
import { FOOTER_BYTES } from '@/db/backup/manifest';
import { finishRestore, restoreBackup } from '@/db/backup/restore';
import { lastGoodBackup, runBackup } from '@/db/backup/run-backup';
import { upgrade } from '@/db/backup/upgrade';
import { unpackBackup } from '@/db/backup/verify-backup';
import { openDb } from '@/db/engine/connection';
import { theShopKey } from '@/db/release/shop-key';
import { addPhoto } from '@/db/unit/photos';
import { spawnNode } from '../children';
import { unpacked } from './fixtures';
import { openShop, ownFolder, type Shop, START } from './shop';

// Backups are made by the very process that makes them in a shop, and judged by what lies in the files: row by row, byte by byte.

const places: string[] = [];
const place = (): string => {
  const folder = mkdtempSync(join(tmpdir(), 'eddrin-place-'));
  places.push(folder);
  return folder;
};
afterAll(() => {
  for (const folder of places) rmSync(folder, { recursive: true, force: true });
});

let shop: Shop;
beforeAll(async () => {
  shop = await openShop('eddrin.db');
  await theShopKey(shop.db, START);
  const unitId = await shop.at('release');
  await shop.worker(unitId).release();
  const bytes = await sharp({ create: { width: 400, height: 300, channels: 3, background: '#789' } })
    .jpeg()
    .toBuffer();
  const photo = { caption: 'as it came', bytes, on: { kind: 'unit', id: '' }, phase: 'out' } as const;
  const other = await shop.book();
  expect((await addPhoto(shop.db, await shop.change(other, 'photo-added'), photo)).ok).toBe(true);
}, 120_000);

type Said = { readonly code: number | null; readonly lines: readonly { readonly kind: string; readonly faults?: readonly string[] }[] };
/** Runs `scripts/backup.ts`. @param stop kills it after so long, ms */
const run = (args: readonly string[], data = shop.folder, stop?: number): Promise<Said> =>
  new Promise((done) => {
    const child = spawnNode(['--import', 'tsx', 'scripts/backup.ts', ...args], {
      EDDRIN_DATA: data,
      DATABASE_URL: `file:${join(data, 'eddrin.db')}`,
    });
    let said = '';
    child.stdout.on('data', (d) => {
      said += d;
    });
    const clock = stop === undefined ? undefined : setTimeout(() => child.kill('SIGKILL'), stop);
    child.on('close', (code) => {
      clearTimeout(clock);
      done({
        code,
        lines: said
          .split('\n')
          .slice(0, -1)
          .map((line) => JSON.parse(line)),
      });
    });
  });
const faultsOf = ({ lines }: Said): readonly string[] => lines.at(-1)?.faults ?? ['broken off'];

const byText = (a: object, b: object): number => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1);
/** Every row of every table of a database file. */
const rowsOf = async (file: string): Promise<Readonly<Record<string, readonly unknown[]>>> => {
  // The index of words has numbers of its own, beyond what a number of JavaScript holds.
  const client = createClient({ url: `file:${file}`, intMode: 'string' });
  const { rows } = await client.execute("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name");
  const all: Record<string, readonly unknown[]> = {};
  for (const { name } of rows)
    all[String(name)] = (await client.execute(`select * from "${name}"`)).rows.map((r) => ({ ...r })).sort(byText);
  client.close();
  return all;
};

describe('a backup under load', () => {
  test('no save waits for it; restored elsewhere it is a shop that is whole, as of one moment', async () => {
    const [file, elsewhere] = [join(place(), 'b.tar'), join(place(), 'shop')];
    const [waits, began]: [number[], string[]] = [[], []];
    let going = true;
    const load = (async () => {
      while (going) {
        const before = performance.now();
        began.push(await shop.book());
        waits.push(performance.now() - before);
        // A request comes by the network: between two of them others have their turn.
        await new Promise((next) => setTimeout(next, 2));
      }
    })();
    const made = await run(['make', file]);
    going = false;
    await load;
    expect([made.code, faultsOf(made)]).toEqual([0, []]);
    // As many as a save takes on a busy machine: what holds a write up for the copy would hold it up for all of it.
    expect(waits.toSorted((a, b) => a - b)[Math.floor(waits.length * 0.99)]).toBeLessThan(1500);
    expect((await restoreBackup(file, elsewhere, START)).ok).toBe(true);
    expect(await checkShop(elsewhere)).toEqual([]);
    const [then, now] = [await rowsOf(join(elsewhere, 'eddrin.db')), await rowsOf(join(shop.folder, 'eddrin.db'))];
    const ids = (rows: typeof then) =>
      ((rows.units ?? []) as readonly { id: string; tag_no: string }[])
        .toSorted((a, b) => Number(a.tag_no) - Number(b.tag_no))
        .map((u) => u.id);
    expect(ids(then).length).toBeGreaterThan(1);
    // The first so many of what was booked, none in between is missing.
    expect(ids(now).slice(0, ids(then).length)).toEqual(ids(then));
    expect(then.unit_events?.length).toBeLessThanOrEqual(now.unit_events?.length ?? 0);
  }, 120_000);

  test('with nobody at work it is equal row by row, photos byte by byte, with the key of the certificates', async () => {
    const [file, elsewhere] = [join(place(), 'b.tar'), join(place(), 'shop')];
    expect(faultsOf(await run(['make', file]))).toEqual([]);
    expect((await restoreBackup(file, elsewhere, START)).ok).toBe(true);
    expect(await rowsOf(join(elsewhere, 'eddrin.db'))).toEqual(await rowsOf(join(shop.folder, 'eddrin.db')));
    const photos = readdirSync(join(shop.folder, 'photos')).sort();
    expect(photos.length).toBe(2);
    expect(readdirSync(join(elsewhere, 'photos')).sort()).toEqual(photos);
    for (const name of [...photos.map((p) => join('photos', p)), 'certificate-key'])
      expect([name, readFileSync(join(elsewhere, name)).equals(readFileSync(join(shop.folder, name)))]).toEqual([name, true]);
    expect(existsSync(join(elsewhere, 'secret'))).toBe(false);
  }, 60_000);
});

describe('a backup that is not whole', () => {
  let good: string;
  beforeAll(async () => {
    good = join(place(), 'good.tar');
    expect(faultsOf(await run(['make', good]))).toEqual([]);
  }, 60_000);
  const copy = (): string => {
    const file = join(place(), 'copy.tar');
    copyFileSync(good, file);
    return file;
  };
  const flip = (file: string, at: number): void => {
    const handle = openSync(file, 'r+');
    const byte = Buffer.alloc(1);
    readSync(handle, byte, 0, 1, at);
    byte[0] = (byte[0] as number) ^ 0x10;
    writeSync(handle, byte, 0, 1, at);
  };
  const verify = async (file: string): Promise<readonly string[]> => {
    const unpackedTo = await unpackBackup(file, join(dirname(file), 'unpacked'), 'database');
    return unpackedTo.ok ? [] : unpackedTo.error;
  };

  test('one flipped bit anywhere is found: in names, in what pads them, in rows, photos, list and end', async () => {
    const size = statSync(good).size;
    const places = [
      ...Array.from({ length: 40 }, (_, i) => Math.floor((i * size) / 40)),
      3,
      130,
      511,
      size - FOOTER_BYTES - 1,
      size - FOOTER_BYTES,
      size - 30,
      size - 1,
    ];
    expect(await verify(copy())).toEqual([]);
    for (const at of places) {
      const file = copy();
      flip(file, at);
      expect([at, (await verify(file)).length > 0]).toEqual([at, true]);
    }
  }, 120_000);

  test('one that was cut off, emptied, or is another file is refused in words, and nothing of the shop is touched', async () => {
    const target = join(place(), 'shop');
    mkdirSync(target);
    writeFileSync(join(target, 'eddrin.db'), 'as it was');
    const [cut, empty, other] = [copy(), copy(), copy()];
    truncateSync(cut, statSync(cut).size - 5000);
    truncateSync(empty, 0);
    writeFileSync(other, 'dear diary '.repeat(1000));
    for (const file of [cut, empty, other]) {
      const said = await restoreBackup(file, target, START);
      expect(said).toEqual({ ok: false, error: ['It is no backup of this program, or its end is missing.'] });
    }
    expect(readdirSync(target)).toEqual(['eddrin.db']);
    expect(readFileSync(join(target, 'eddrin.db'), 'utf8')).toBe('as it was');
  });

  test('a certificate that was altered in a shop is found, by restore and by check', async () => {
    const [file, target] = [join(place(), 'b.tar'), join(place(), 'shop')];
    expect((await restoreBackup(good, target, START)).ok).toBe(true);
    const client = createClient({ url: `file:${join(target, 'eddrin.db')}` });
    await client.execute("update certificates set statement = replace(statement, 'Aldwater', 'Oldwater')");
    await client.execute('delete from unit_events where version = 1 and unit_id = (select id from units order by tag_no limit 1)');
    client.close();
    const faults = [
      'Events are missing in the history of units: 1.',
      'Certificates were altered or are missing before: 1.',
      'Certificates without a signature of the shop: 1.',
    ];
    expect(await checkShop(target)).toEqual(faults);
    expect(faultsOf(await run(['make', file], target))).toEqual(faults);
  }, 60_000);

  test('a photo that is missing or changed is found', async () => {
    const target = join(place(), 'shop');
    expect((await restoreBackup(good, target, START)).ok).toBe(true);
    const [photo] = readdirSync(join(target, 'photos')).filter((f) => !f.includes('small'));
    const path = join(target, 'photos', photo as string);
    flip(path, 40);
    expect(await checkShop(target)).toEqual([`1 photos were changed, such as ${photo?.replace('.webp', '')}.`]);
    rmSync(path);
    expect(await checkShop(target)).toEqual([`1 photos are missing, such as ${photo?.replace('.webp', '')}.`]);
  });
});

test('a photo that is lost makes no backup good, and bad ones do not fill the disk; the last good one stays', async () => {
  const files = (): readonly string[] => readdirSync(join(shop.folder, 'backups')).sort();
  const night = (n: number) => runBackup(shop.db, '', START + n * 86_400_000);
  expect(await night(0)).toEqual([]);
  const [good] = files();
  const [photo] = readdirSync(join(shop.folder, 'photos')).filter((f) => !f.includes('small'));
  const [there, away] = [join(shop.folder, 'photos', photo as string), join(shop.folder, 'away.webp')];
  renameSync(there, away);
  for (const n of [1, 2, 3]) expect(await night(n)).toEqual([expect.stringMatching(/^1 photos that it refers to are not in it/)]);
  expect(files()).toEqual([good, 'eddrin-2026-05-07-0800.tar']);
  expect(await lastGoodBackup(shop.db)).toEqual({ kind: 'made', at: START });
  renameSync(away, there);
}, 60_000);

describe('a restore that is stopped', () => {
  let file: string;
  let target: string;
  beforeAll(async () => {
    file = join(place(), 'b.tar');
    expect(faultsOf(await run(['make', file]))).toEqual([]);
  }, 60_000);
  beforeEach(async () => {
    // Another shop stands there, with one unit and no photo.
    target = join(place(), 'shop');
    expect((await restoreBackup(file, target, START)).ok).toBe(true);
    const client = createClient({ url: `file:${join(target, 'eddrin.db')}` });
    await client.execute("update customers set name = 'The old shop'");
    client.close();
  });
  const isOld = async (): Promise<boolean> =>
    ((await rowsOf(join(target, 'eddrin.db'))).customers ?? []).every((c) => (c as { name: string }).name === 'The old shop');

  test('at any moment leaves the old shop or the new one, whole; what was there is kept', async () => {
    const seen = new Set<string>();
    for (const ms of [250, 500, 700, 800, 900, 1000, 1200, 1400, undefined]) {
      const { code } = await run(['restore', file], target, ms);
      finishRestore(target);
      expect([ms, await checkShop(target)]).toEqual([ms, []]);
      const old = await isOld();
      seen.add(old ? 'old' : 'new');
      if (code === 0) expect([ms, old]).toEqual([ms, false]);
      expect(readdirSync(target).filter((f) => f.startsWith('unpacked-'))).toEqual([]);
      if (!old) break;
    }
    expect(seen.has('new')).toBe(true);
    const kept = readdirSync(target).filter((f) => f.startsWith('replaced-'));
    expect(kept.length).toBe(2);
  }, 120_000);

  test('by a disk that is full leaves the old shop, and so does a backup no file', async () => {
    // No file may grow over 200 kB: the database is larger.
    const small = (doing: string, path: string) =>
      spawnSync('sh', ['-c', 'ulimit -f 400; exec "$0" "$@"', process.execPath, '--import', 'tsx', 'scripts/backup.ts', doing, path], {
        env: { ...process.env, EDDRIN_DATA: target, DATABASE_URL: undefined },
        encoding: 'utf8',
      });
    expect(small('restore', file).status).not.toBe(0);
    finishRestore(target);
    expect([await isOld(), await checkShop(target), readdirSync(target).filter((f) => f.startsWith('unpacked-'))]).toEqual([true, [], []]);
    const next = join(place(), 'next.tar');
    expect(small('make', next).status).not.toBe(0);
    expect(existsSync(next)).toBe(false);
  }, 60_000);

  test('between any two steps of the exchange is finished by whoever comes next', async () => {
    // The exchange as it is written down, with so many of its renames made already.
    const REPLACED = ['eddrin.db', 'certificate-key', 'photos'];
    for (let steps = 0; steps <= REPLACED.length * 2; steps++) {
      const folder = join(place(), 'shop');
      expect((await restoreBackup(file, folder, START)).ok).toBe(true);
      writeFileSync(join(folder, 'eddrin.db-wal'), 'of the old database');
      const next = await unpackBackup(file, join(folder, 'unpacked-x'), 'all');
      expect(next.ok).toBe(true);
      writeFileSync(join(folder, 'restoring.json'), JSON.stringify({ unpacked: 'unpacked-x', replaced: 'replaced-x', comes: REPLACED }));
      mkdirSync(join(folder, 'replaced-x'));
      renameSync(join(folder, 'eddrin.db-wal'), join(folder, 'replaced-x', 'eddrin.db-wal'));
      for (let i = 0; i < steps; i++) {
        const name = REPLACED[Math.floor(i / 2)] as string;
        if (i % 2 === 0) renameSync(join(folder, name), join(folder, 'replaced-x', name));
        else renameSync(join(folder, 'unpacked-x', name), join(folder, name));
      }
      finishRestore(folder);
      expect([steps, await checkShop(folder)]).toEqual([steps, []]);
      expect(readdirSync(join(folder, 'replaced-x')).sort()).toEqual(['certificate-key', 'eddrin.db', 'eddrin.db-wal', 'photos']);
      expect(existsSync(join(folder, 'restoring.json'))).toBe(false);
    }
  }, 60_000);
});

describe('from the command line', () => {
  const npm = (script: string, args: readonly string[], data: string) => {
    const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/whole.mjs', script, ...args], {
      env: { ...process.env, EDDRIN_DATA: data, DATABASE_URL: undefined },
      encoding: 'utf8',
    });
    return { status, said: stdout + stderr };
  };

  test('a shop is backed up, checked and restored, each with what it found; what stands in the way is said', () => {
    const [file, elsewhere] = [join(place(), 'b.tar'), join(place(), 'shop')];
    expect(npm('make', [file], shop.folder)).toMatchObject({
      status: 0,
      said: expect.stringMatching(/MB: 4 files, \d+ rows[\s\S]*b\.tar is whole\./),
    });
    expect(npm('make', [file], shop.folder)).toMatchObject({ status: 1, said: expect.stringContaining('is there already') });
    expect(npm('check', [], elsewhere)).toMatchObject({ status: 1, said: expect.stringContaining('There is no shop in') });
    expect(npm('restore', [join(elsewhere, 'none.tar')], elsewhere)).toMatchObject({
      status: 1,
      said: expect.stringContaining('no such file'),
    });
    expect(npm('restore', [file], elsewhere)).toMatchObject({ status: 0, said: expect.stringContaining('Restored.') });
    expect(npm('check', [], elsewhere)).toMatchObject({ status: 0, said: expect.stringContaining('All of it is whole.') });
    // Its server runs: this process stands for it.
    writeFileSync(join(elsewhere, 'served-by'), String(process.pid));
    expect(npm('restore', [file], elsewhere)).toMatchObject({
      status: 1,
      said: expect.stringContaining('is being served: stop the program first'),
    });
    expect(npm('make', [], elsewhere)).toMatchObject({ status: 1, said: expect.stringContaining('npm run backup -- FILE') });
  }, 180_000);
});

describe('an upgrade', () => {
  test('of a shop of before makes a backup first and says where; that backup is whole', async () => {
    const folder = ownFolder();
    process.env.DATABASE_URL = `file:${join(folder, 'eddrin.db')}`;
    copyFileSync(unpacked('0003-indexes.db.gz', folder).replace('file:', ''), join(folder, 'eddrin.db'));
    const said: string[] = [];
    const db = await openDb();
    expect(await upgrade(db, START, (line) => said.push(line))).toEqual({ ok: true, value: null });
    const path = /backed up: (\S+)/.exec(said.join('\n'))?.[1] ?? '';
    expect(path).toMatch(/backups\/before-upgrade-2026-05-04T08-00-00\.tar$/);
    const before = await unpackBackup(path, join(folder, 'looked'), 'database');
    // The fixture has no photos beside it: that is told, and all else is whole.
    expect(before.ok ? [] : before.error).toEqual(before.ok ? [] : [expect.stringMatching(/photos that it refers to are not in it/)]);
    expect(await upgrade(db, START, (line) => said.push(line))).toEqual({ ok: true, value: null });
    expect(said.length).toBe(2);
  }, 120_000);

  test('that is killed leaves the old state or the new one, and goes on from there', async () => {
    for (const ms of [200, 500, 700, 900, 1100, 1400, 2000]) {
      const folder = ownFolder();
      process.env.DATABASE_URL = `file:${join(folder, 'eddrin.db')}`;
      copyFileSync(unpacked('0003-indexes.db.gz', folder).replace('file:', ''), join(folder, 'eddrin.db'));
      const before = (await rowsOf(join(folder, 'eddrin.db'))).units?.length;
      const child = spawnNode(['--import', 'tsx', 'tests/server/upgrader.ts'], { EDDRIN_DATA: folder });
      const clock = setTimeout(() => child.kill('SIGKILL'), ms);
      await new Promise((resolve) => child.once('exit', resolve));
      clearTimeout(clock);
      const client = createClient({ url: `file:${join(folder, 'eddrin.db')}` });
      const had = await schemaOf(client);
      client.close();
      // All of the migrations or none.
      expect([ms, [knownMigrations()[3], knownMigrations().at(-1)].includes(had)]).toEqual([ms, true]);
      expect(await upgrade(await openDb(), START, () => undefined)).toEqual({ ok: true, value: null });
      expect([ms, (await rowsOf(join(folder, 'eddrin.db'))).units?.length]).toEqual([ms, before]);
    }
  }, 120_000);

  test('that fails leaves the old state and says why; a newer shop is not touched', async () => {
    const folder = ownFolder();
    process.env.DATABASE_URL = `file:${join(folder, 'eddrin.db')}`;
    copyFileSync(unpacked('0003-indexes.db.gz', folder).replace('file:', ''), join(folder, 'eddrin.db'));
    const db = await openDb();
    // A table that a later migration is to make stands there already.
    await db.run('create table shop_settings (odd text)');
    const before = await rowsOf(join(folder, 'eddrin.db'));
    const failed = await upgrade(db, START, () => undefined);
    expect(failed.ok ? '' : failed.error).toMatch(/^The upgrade failed, and the shop stands as it was: .*shop_settings/);
    expect(await rowsOf(join(folder, 'eddrin.db'))).toEqual(before);
    await db.run("insert into __drizzle_migrations (hash, created_at) values ('x', 9999999999999)");
    const newer = await upgrade(db, START, () => undefined);
    expect(newer.ok ? '' : newer.error).toMatch(/last opened by a newer version of the program: it is not touched/);
  }, 120_000);
});
