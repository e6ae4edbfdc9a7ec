import type { AsyncLocalStorage } from 'node:async_hooks';
import { existsSync, mkdirSync } from 'node:fs';
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
const OURS = [
  'eddrin.db',
  'eddrin.db-wal',
  'eddrin.db-shm',
  'photos',
  'secret',
  'certificate-key',
  'gauge-token',
  'demo-pins.json',
  'practice',
];

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
  // The practice job of a request: made by `scripts/serve.mjs`.
  var eddrinPlace: AsyncLocalStorage<number | undefined> | undefined;
}

/** The shop's database. */
export const shopDb = (): Promise<Db> => {
  globalThis.eddrinDb ??= openDb();
  return globalThis.eddrinDb;
};

/** The database that a request is about: the shop's, but for a request of a practice job, which has one of its own. */
export const theDb = (): Promise<Db> => {
  const job = practiceNow();
  return job === undefined ? shopDb() : practiceDb(job);
};

/** The practice job that this request is of: `scripts/serve.mjs` tells it by the address, and no other code does. */
export const practiceNow = (): number | undefined => {
  const job = globalThis.eddrinPlace?.getStore();
  return job !== undefined && existsSync(practiceFile(job)) ? job : undefined;
};

/** Where practice jobs lie: beside the shop, in no backup of it. */
export const practiceFolder = (): string => join(dataFolder(), 'practice');
export const practiceFile = (job: number): string => join(practiceFolder(), `${job}.db`);

/** Connections to practice jobs that are kept; the one asked longest ago goes first. */
const MOST_JOBS = 40;
const jobs = new Map<number, Promise<Db>>();

/** The database of a practice job. */
export const practiceDb = (job: number): Promise<Db> => {
  const open = jobs.get(job) ?? openDb(`file:${practiceFile(job)}`);
  jobs.delete(job);
  jobs.set(job, open);
  const [oldest] = jobs.keys();
  if (jobs.size > MOST_JOBS && oldest !== undefined) closePractice(oldest);
  return open;
};

/** Lets go of a practice job's database. */
export const closePractice = (job: number): void => {
  const open = jobs.get(job);
  jobs.delete(job);
  void open?.then((db) => (db as Db & { readonly $client: { readonly close: () => void } }).$client.close());
};
