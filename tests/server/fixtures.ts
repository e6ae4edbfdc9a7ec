import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { type Db, migrateDb, openDb } from '@/db/engine/connection';

const FOLDER = 'tests/fixtures';

/** Packed databases of the demo shop as earlier versions left it, one for each schema that landed. */
export const FIXTURES = readdirSync(FOLDER).filter((name) => name.endsWith('.db.gz'));

/** A fixture unpacked into a folder, as it was. @returns the address of the database */
export const unpacked = (fixture: string, folder: string): string => {
  const file = join(folder, fixture.replace('.gz', ''));
  writeFileSync(file, gunzipSync(readFileSync(join(FOLDER, fixture))));
  return `file:${file}`;
};

/** A fixture brought forward to today's tables. */
export async function broughtForward(fixture: string, folder: string): Promise<Db> {
  const db = await openDb(unpacked(fixture, folder));
  await migrateDb(db);
  return db;
}
