import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setting } from '@/config';
import { fail, ok, type Result } from '@/core/result';
import { PHOTO_FOLDER, photoStoreOf } from '../photo/photo-store';
import type { Faults } from './check-database';
import { CERTIFICATE_KEY, DATABASE, type Manifest } from './manifest';
import { unpackBackup } from './verify-backup';

/** What a restore takes away and puts in its place, in this order: what belongs to the old database goes before the new one comes. */
const REPLACED = [`${DATABASE}-wal`, `${DATABASE}-shm`, DATABASE, CERTIFICATE_KEY, PHOTO_FOLDER];
/** Says that a restore has begun to exchange: from here on it is finished, whoever comes. */
const JOURNAL = 'restoring.json';
/** `comes`: what was unpacked; all else of the old shop only goes. */
type Journal = { readonly unpacked: string; readonly replaced: string; readonly comes: readonly string[] };

/**
 * Puts a backup in the place of the shop in a folder. All of it is verified first, beside the shop; then the exchange is written down and
 * made, so that a stop at any moment leaves the old shop or the new one. The secret of the sessions is not in a backup: everybody signs in again.
 * @returns the folder that keeps what was there before, undefined where nothing was; or what is wrong with the backup: then nothing is touched
 */
export async function restoreBackup(
  file: string,
  data: string,
  now: number,
): Promise<Result<{ readonly manifest: Manifest; readonly kept: string | undefined }, Faults>> {
  mkdirSync(data, { recursive: true, mode: 0o700 });
  finishRestore(data);
  const name = new Date(now).toISOString().replace(/[:.]/g, '-');
  const folder = `unpacked-${name}`;
  const unpacked = await unpackBackup(file, join(data, folder), 'all');
  if (!unpacked.ok) return fail(unpacked.error);
  if (setting('EDDRIN_PHOTOS') !== undefined) await photosToStore(data, join(data, folder, PHOTO_FOLDER));
  const before = REPLACED.some((f) => existsSync(join(data, f)));
  const comes = REPLACED.filter((f) => existsSync(join(data, folder, f)));
  const journal: Journal = { unpacked: folder, replaced: `replaced-${name}`, comes };
  writeFileSync(join(data, `${JOURNAL}.part`), JSON.stringify(journal), { flush: true });
  renameSync(join(data, `${JOURNAL}.part`), join(data, JOURNAL));
  finishRestore(data);
  return ok({ manifest: unpacked.value, kept: before ? join(data, journal.replaced) : undefined });
}

/** Photos that lie elsewhere go there before the exchange: they are named by what they are, so that more of them harm nothing. */
const photosToStore = async (data: string, unpacked: string): Promise<void> => {
  const store = photoStoreOf(data);
  for (const name of existsSync(unpacked) ? readdirSync(unpacked) : []) await store.put(name, readFileSync(join(unpacked, name)));
  rmSync(unpacked, { recursive: true, force: true });
};

/** What was unpacked and never came to be exchanged takes room for nothing. */
const sweep = (data: string): void => {
  for (const name of existsSync(data) ? readdirSync(data) : [])
    if (name.startsWith('unpacked-')) rmSync(join(data, name), { recursive: true, force: true });
};

/** Finishes the exchange of a restore that was stopped in the middle of it; each step can be taken again. Before anything opens the shop. */
export function finishRestore(data: string): void {
  const file = join(data, JOURNAL);
  if (!existsSync(file)) return sweep(data);
  const { unpacked, replaced, comes } = JSON.parse(readFileSync(file, 'utf8')) as Journal;
  mkdirSync(join(data, replaced), { recursive: true, mode: 0o700 });
  for (const name of REPLACED) {
    const [old, next, kept] = [join(data, name), join(data, unpacked, name), join(data, replaced, name)];
    // What came already is the new one by now.
    if (comes.includes(name) && !existsSync(next)) continue;
    if (existsSync(old)) renameSync(old, kept);
    if (existsSync(next)) renameSync(next, old);
  }
  rmSync(join(data, unpacked), { recursive: true, force: true });
  rmSync(file);
}
