import { statfs } from 'node:fs/promises';
import { connect } from 'node:net';
import { lastGoodBackup } from '@/db/backup/run-backup';
import { type Db, dataFolder, shopDb } from '@/db/engine/connection';
import { isWritable } from '@/db/engine/writable';
import { theShop } from '@/db/shop/settings';
import { rigAddress } from '@/ports/rig-line';

/** How the running shop stands. `down`: it cannot do its work; `degraded`: it can, and somebody should look. */
export type Health = {
  readonly status: 'up' | 'degraded' | 'down';
  readonly database: 'writable' | 'not writable';
  readonly diskFreeBytes: number;
  /** Age of the last good backup, s; null where there is none. */
  readonly backupAgeS: number | null;
  /** `none`: the shop has none. */
  readonly rig: 'answers' | 'silent' | 'none';
  readonly upS: number;
};

/** So much room is left before somebody should look, bytes: a day of photos and a backup. */
const LEAST_FREE = 1e9;
/** What is asked more often than this is told the last answer again, ms: whoever asks costs the shop nothing. */
const FRESH_MS = 5000;
const RIG_MS = 500;

let told: { readonly at: number; readonly health: Promise<Health> } | undefined;
export const healthNow = (now: number): Promise<Health> => {
  if (told === undefined || now - told.at > FRESH_MS) told = { at: now, health: look(now) };
  return told.health;
};

const look = async (now: number): Promise<Health> => {
  const db = await shopDb();
  const [writable, disk, backup, rig] = await Promise.all([
    isWritable(db),
    statfs(dataFolder()).catch(() => undefined),
    lastGoodBackup(db).catch(() => undefined),
    hasRig(db).then((has) => (has ? rigAnswers() : 'none')),
  ]);
  const diskFreeBytes = disk === undefined ? 0 : disk.bavail * disk.bsize;
  return {
    status: !writable ? 'down' : diskFreeBytes < LEAST_FREE || rig === 'silent' ? 'degraded' : 'up',
    database: writable ? 'writable' : 'not writable',
    diskFreeBytes,
    backupAgeS: backup?.kind === 'made' ? Math.round((now - backup.at) / 1000) : null,
    rig,
    upS: Math.round(process.uptime()),
  };
};

const hasRig = async (db: Db): Promise<boolean> =>
  theShop(db).then(
    ({ settings }) => settings.places.some((p) => p.kind === 'rig'),
    () => false,
  );

const rigAnswers = (): Promise<Health['rig']> =>
  new Promise((done) => {
    const line = connect(rigAddress());
    const end = (rig: Health['rig']): void => {
      line.destroy();
      done(rig);
    };
    line.setTimeout(RIG_MS, () => end('silent'));
    line.once('connect', () => end('answers'));
    line.once('error', () => end('silent'));
  });
