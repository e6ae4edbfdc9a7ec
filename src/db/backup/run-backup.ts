import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { readdir, rm, stat } from 'node:fs/promises';
import { basename, join, resolve } from 'node:path';
import { desc, isNotNull, isNull, min } from 'drizzle-orm';
import { onClock } from '@/core/locale';
import { isoDay } from '@/core/quantity/say-time';
import { type BackupRow, type BackupState, isNightDue } from '@/core/shop/backup';
import { theLog } from '@/log';
import { type Db, dataFolder, type Reader } from '../engine/connection';
import { theShop } from '../shop/settings';
import { tellShop } from '../shop/shop-events';
import { backups, people, shopSettings } from '../tables';
import type { Line } from './backup-line';
import type { Faults } from './check-database';

declare global {
  // One at a time a process, also when a bundler makes two copies of this module.
  var eddrinBackup: BackupState | undefined;
}
export const backupUnderWay = (): BackupState | undefined => globalThis.eddrinBackup;

const folder = (): string => resolve(dataFolder(), 'backups');
/** What this makes by itself and takes away again when there are too many; other files in the folder are left. */
const OURS = /^eddrin-\d{4}-\d{2}-\d{2}-\d{4}\.tar$/;
const nameAt = (at: number): string => {
  const clock = onClock(at);
  return `eddrin-${isoDay(at)}-${String(clock.getHours()).padStart(2, '0')}${String(clock.getMinutes()).padStart(2, '0')}.tar`;
};

/** The latest backups, the newest first. */
export const latestBackups = async (db: Reader): Promise<readonly BackupRow[]> =>
  db
    .select({ at: backups.at, path: backups.path, bytes: backups.bytes, verifiedAt: backups.verifiedAt, fault: backups.fault })
    .from(backups)
    .orderBy(desc(backups.at))
    .limit(60);

/** When the last good backup was made; where there is none, since when there is something to back up. */
export const lastGoodBackup = async (db: Reader): Promise<{ readonly kind: 'made' | 'never'; readonly at: number }> => {
  const [[good], [opened], [first]] = await Promise.all([
    db.select({ at: backups.at }).from(backups).where(isNotNull(backups.verifiedAt)).orderBy(desc(backups.at)).limit(1),
    db.select({ at: min(shopSettings.at) }).from(shopSettings),
    db.select({ at: min(people.createdAt) }).from(people),
  ]);
  if (good !== undefined) return { kind: 'made', at: good.at };
  return { kind: 'never', at: opened?.at ?? first?.at?.getTime() ?? Date.now() };
};

/** Makes a backup in a process of its own, unless one is under way. @param personId who asks; empty for the program @returns at its end */
export async function runBackup(db: Db, personId: string, at: number): Promise<'under way already' | Faults> {
  if (globalThis.eddrinBackup !== undefined) return 'under way already';
  globalThis.eddrinBackup = { since: at, part: 0, doing: 'beginning' };
  try {
    const { settings } = await theShop(db);
    mkdirSync(folder(), { recursive: true, mode: 0o700 });
    const file = join(folder(), nameAt(at));
    const { bytes, faults } = await inOwnProcess(['make', file, settings.backup.folder], (line) => {
      if (line.kind === 'progress') globalThis.eddrinBackup = { since: at, part: line.part, doing: line.doing };
    });
    const fault = faults.length === 0 ? null : faults.join(' ');
    await db.transaction(async (tx) => {
      await tx
        .insert(backups)
        .values({ id: randomUUID(), at, personId, path: file, bytes, verifiedAt: fault === null ? Date.now() : null, fault });
      await tellShop(tx, { at, personId, kind: 'backed-up', lines: [fault ?? file] });
    });
    if (fault === null) await keepNewest(settings.backup.keep, [folder(), settings.backup.folder]);
    else {
      theLog().error({ fault }, 'a backup is not good');
      await keepNewestBad(db, file);
    }
    return faults;
  } finally {
    globalThis.eddrinBackup = undefined;
  }
}

/** Runs `scripts/backup.ts` to its end. @param hear gets each line that it says */
export const inOwnProcess = (
  args: readonly string[],
  hear: (line: Line) => void,
): Promise<{ readonly bytes: number; readonly faults: Faults }> =>
  new Promise((done) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/backup.ts', ...args], {
      env: { ...process.env, EDDRIN_DATA: resolve(dataFolder()) },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let [rest, bytes]: [string, number] = ['', 0];
    let faults: Faults = ['It was broken off.'];
    child.stdout.on('data', (chunk: Buffer) => {
      const lines = `${rest}${chunk}`.split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) {
        const told = JSON.parse(line) as Line;
        if (told.kind === 'made') bytes = told.bytes;
        else if (told.kind === 'end') faults = told.faults;
        hear(told);
      }
    });
    child.on('error', (error) => done({ bytes, faults: [error.message] }));
    child.on('close', () => done({ bytes, faults }));
  });

/** Of backups that are not good the newest is kept: night after night they would fill the disk. */
const keepNewestBad = async (db: Reader, newest: string): Promise<void> => {
  const bad = await db.select({ path: backups.path }).from(backups).where(isNull(backups.verifiedAt));
  await Promise.all(bad.filter((b) => b.path !== newest && OURS.test(basename(b.path))).map((b) => rm(b.path, { force: true })));
};

const A_DAY_MS = 24 * 3_600_000;
/** Takes away what a backup that was killed left behind: whole copies of the shop. Once, at the start. */
export const sweepBackups = async (now: number): Promise<void> => {
  const left = (await readdir(folder()).catch(() => [])).filter((f) => /\.(making|verifying-[0-9a-f-]+|part)$/.test(f));
  for (const name of left) {
    const path = join(folder(), name);
    const { mtimeMs } = await stat(path);
    if (now - mtimeMs > A_DAY_MS) await rm(path, { recursive: true, force: true });
  }
};

/** Takes away the oldest of what this has made. */
const keepNewest = async (keep: number, folders: readonly string[]): Promise<void> => {
  for (const where of folders.filter((f) => f !== '')) {
    const ours = (await readdir(where).catch(() => [])).filter((f) => OURS.test(f)).sort();
    await Promise.all(ours.slice(0, Math.max(0, ours.length - keep)).map((f) => rm(join(where, f), { force: true })));
  }
};

/** Makes the night's backup when its hour has come and it was not made yet. Asked every minute. */
export const backupByNight = async (db: Db, now: number): Promise<void> => {
  const [{ settings }, last] = [await theShop(db), await lastTry(db)];
  if (isNightDue(settings.backup.hour, last, now)) await runBackup(db, '', now);
};

/** A try that failed is not made again before the next night: what is wrong is told meanwhile. */
const lastTry = async (db: Reader): Promise<number> => {
  const [row] = await db.select({ at: backups.at }).from(backups).orderBy(desc(backups.at)).limit(1);
  return row?.at ?? (await lastGoodBackup(db)).at;
};
