import { mkdirSync } from 'node:fs';
import { chmod, mkdir, readdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { createClient } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { setting } from '@/config';
import * as tables from '../tables';
import * as relations from './relations';
import { together } from './together';
import { queueWrites } from './writer';

const { hangingRelations, ...named } = relations;
const schema = { ...tables, ...named };

export type Db = LibSQLDatabase<typeof schema>;
/** A transaction, or the database itself: whatever can be asked. */
export type Reader = Pick<Db, 'select' | 'query' | 'all'>;
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** How long a statement waits for another process's lock, ms. */
const BUSY_TIMEOUT_MS = 5000;

export const dataFolder = (): string => setting('EDDRIN_DATA');

/** What the shop keeps in its data folder; others may keep theirs there. */
const OURS = ['eddrin.db', 'eddrin.db-wal', 'eddrin.db-shm', 'photos', 'secret', 'certificate-key', 'gauge-token', 'demo-pins.json'];

/** What lay in the data folder before is closed to others too; a folder or file that is made new is by the process's mask. What is another owner's is left. */
export const ownersAlone = async (): Promise<void> => {
  const folder = dataFolder();
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const inside = await readdir(folder, { withFileTypes: true });
  const ours = inside.filter((f) => OURS.includes(f.name));
  await Promise.allSettled(ours.map((f) => chmod(join(folder, f.name), f.isDirectory() ? 0o700 : 0o600)));
};

/** A file in the data folder unless `DATABASE_URL` names another database. */
export const databaseUrl = (): string => setting('DATABASE_URL') ?? `file:${join(dataFolder(), 'eddrin.db')}`;

/**
 * Opens the shop's database. The only place that knows whether it is a file: a file is set to write-ahead logging, and waits for locks.
 * Foreign keys are on and `synchronous` is FULL by libSQL's default: acknowledged means durable.
 */
export async function openDb(url = databaseUrl()): Promise<Db> {
  const isFile = url.startsWith('file:');
  if (isFile) mkdirSync(dirname(url.slice('file:'.length)), { recursive: true });
  const client = createClient({ url, authToken: setting('DATABASE_AUTH_TOKEN'), timeout: BUSY_TIMEOUT_MS });
  if (isFile) await client.execute('PRAGMA journal_mode = WAL');
  return drizzle(queueWrites(isFile ? client : together(client)), {
    schema: { ...schema, ...(hangingRelations as object) },
    casing: 'snake_case',
  });
}

export const migrateDb = (db: Db, folder = join(process.cwd(), 'src/db/engine/migrations')): Promise<void> =>
  migrate(db, { migrationsFolder: folder });

declare global {
  // One connection and one writer queue a process, also when a bundler makes two copies of this module.
  var eddrinDb: Promise<Db> | undefined;
}

/** The process's database. */
export const theDb = (): Promise<Db> => {
  globalThis.eddrinDb ??= openDb();
  return globalThis.eddrinDb;
};
