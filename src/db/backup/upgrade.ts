import { existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import { fail, ok, type Result } from '@/core/result';
import { type Db, databaseUrl, dataFolder, migrateDb } from '../engine/connection';
import { knownMigrations, schemaOf } from './check-database';
import { DATABASE } from './manifest';
import { inOwnProcess } from './run-backup';

/**
 * Brings a shop's tables up to this program. A shop that has anything in it is backed up first; all migrations are made in one transaction,
 * so that one that fails leaves the old state.
 * @param say where the backup lies, and how long it took
 * @returns why it cannot be, in words
 */
export async function upgrade(db: Db, now: number, say: (line: string) => void): Promise<Result<null, string>> {
  const known = knownMigrations();
  const had = await schemaNow();
  if (had > (known.at(-1) ?? 0))
    return fail(
      'This shop was last opened by a newer version of the program: it is not touched. Install that version or a later one, or restore a backup from before.',
    );
  const ahead = known.filter((at) => at > had).length;
  if (ahead === 0) return ok(null);
  const first = had === 0;
  if (!first && databaseUrl().startsWith('file:')) {
    const made = await backUpBefore(now);
    if (!made.ok) return made;
    say(`before the upgrade everything was backed up: ${made.value}`);
  }
  const begun = performance.now();
  try {
    await migrateDb(db);
  } catch (error) {
    const why = error instanceof Error ? (error.cause instanceof Error ? error.cause.message : error.message) : String(error);
    return fail(`The upgrade failed, and the shop stands as it was: ${why}`);
  }
  if (!first) say(`upgraded in ${((performance.now() - begun) / 1000).toFixed(1)} s: ${ahead} changes of the tables`);
  return ok(null);
}

const schemaNow = async (): Promise<number> => {
  const client = createClient({ url: databaseUrl() });
  try {
    return await schemaOf(client);
  } finally {
    client.close();
  }
};

const backUpBefore = async (now: number): Promise<Result<string, string>> => {
  const folder = resolve(dataFolder(), 'backups');
  if (!existsSync(join(dataFolder(), DATABASE))) return fail(`There is no ${DATABASE} in ${dataFolder()}.`);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `before-upgrade-${new Date(now).toISOString().slice(0, 19).replace(/:/g, '-')}.tar`);
  const { bytes, faults } = await inOwnProcess(['make', file], () => undefined);
  // What is wrong with the shop already is no reason to keep it from an upgrade; that there is no backup is one.
  return bytes > 0 ? ok(file) : fail(`No backup could be made before the upgrade, so nothing was changed: ${faults.join(' ')}`);
};
