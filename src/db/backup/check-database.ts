import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { hashedText } from '@/core/release/certificate-file';
import { isSigned } from '../release/shop-key';

/** What is wrong with a database, a line each; empty where it is whole. */
export type Faults = readonly string[];

/** No list of the like of it gets longer than this; how many more there are is said. */
const SHOWN = 5;
const someOf = (what: string, all: readonly string[]): Faults =>
  all.length === 0 ? [] : [`${what}: ${all.slice(0, SHOWN).join(', ')}${all.length > SHOWN ? ` and ${all.length - SHOWN} more` : ''}.`];

/** The times of the migrations that this program knows, the oldest first, ms since 1970. */
export const knownMigrations = (folder = join(process.cwd(), 'src/db/engine/migrations')): readonly number[] =>
  (JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')) as { entries: { when: number }[] }).entries.map((e) => e.when);

/** The newest migration that a database has had; 0 where it has had none. */
export const schemaOf = async (client: Pick<Client, 'execute'>): Promise<number> => {
  const { rows } = await client.execute("select name from sqlite_master where name = '__drizzle_migrations'");
  if (rows.length === 0) return 0;
  return Number((await client.execute('select max(created_at) as at from __drizzle_migrations')).rows[0]?.at ?? 0);
};

/** Rows of each table of the shop. */
export const countsOf = async (client: Pick<Client, 'execute'>): Promise<Readonly<Record<string, number>>> => {
  const { rows } = await client.execute("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name");
  const counts: Record<string, number> = {};
  for (const { name } of rows)
    counts[String(name)] = Number((await client.execute(`select count(*) as n from "${String(name)}"`)).rows[0]?.n ?? 0);
  return counts;
};

/** Hashes of the photos that a database refers to. */
export const photoHashesIn = async (client: Pick<Client, 'execute'>): Promise<readonly string[]> => {
  // One of before has no photos of other shops.
  const named = await client.execute("select name from sqlite_master where type = 'table' and name in ('photos', 'foreign_photos')");
  const all = named.rows.map((r) => `select hash from ${String(r.name)}`).join(' union ');
  return (await client.execute(`${all} order by hash`)).rows.map((r) => String(r.hash));
};

/** Looks through a database file of a shop: its pages, its references, and the chains of events and certificates. */
export async function checkDatabase(file: string): Promise<Faults> {
  const client = createClient({ url: `file:${file}` });
  try {
    const pages = (await client.execute('pragma integrity_check(20)')).rows.map((r) => String(r.integrity_check));
    // What its pages say cannot be trusted then.
    if (pages[0] !== 'ok') return someOf('The database is damaged', pages);
    const newest = knownMigrations().at(-1) ?? 0;
    if ((await schemaOf(client)) > newest)
      return ['It was written by a newer version of this program: bring the program up to date first.'];
    const hanging = (await client.execute('pragma foreign_key_check')).rows.map((r) => `${String(r.table)} to ${String(r.parent)}`);
    return [...someOf('Rows refer to what is not there', hanging), ...(await eventFaults(client)), ...(await certificateFaults(client))];
  } catch (error) {
    return [`The database cannot be read: ${error instanceof Error ? error.message : String(error)}.`];
  } finally {
    client.close();
  }
}

/** Each unit's events are numbered from 1 on without a gap, up to the unit's own version. */
const eventFaults = async (client: Client): Promise<Faults> => {
  const { rows } = await client.execute(
    `select u.tag_no as tag from units u left join unit_events e on e.unit_id = u.id
     group by u.id having count(e.id) <> u.version or max(e.version) <> u.version or min(e.version) <> 1 order by u.tag_no`,
  );
  return someOf(
    'Events are missing in the history of units',
    rows.map((r) => String(r.tag)),
  );
};

/** Each certificate gives its hash, names the hash of the one before, and bears a signature of the shop's. */
const certificateFaults = async (client: Client): Promise<Faults> => {
  const keyed = await client.execute("select name from sqlite_master where name = 'shop_keys'");
  const keys = new Map(
    (keyed.rows.length === 0 ? [] : (await client.execute('select * from shop_keys')).rows).map((r) => [
      String(r.id),
      String(r.public_key),
    ]),
  );
  const [wrong, unsigned]: [string[], string[]] = [[], []];
  let [before, expected] = ['', 1];
  for (const c of (await client.execute('select * from certificates order by number')).rows) {
    const number = Number(c.number);
    const key = c.key == null ? null : String(c.key);
    const supersedes = c.supersedes === null ? null : Number(c.supersedes);
    const issued = { number, supersedes, previousHash: String(c.previous_hash), key, statement: JSON.parse(String(c.statement)) };
    const hash = createHash('sha256').update(hashedText(issued)).digest('hex');
    if (hash !== c.hash || c.previous_hash !== before || number !== expected) wrong.push(String(number));
    const publicKey = keys.get(key ?? '');
    if (key !== null && !(publicKey !== undefined && isSigned(publicKey, { hash, signature: String(c.signature) })))
      unsigned.push(String(number));
    [before, expected] = [String(c.hash), number + 1];
  }
  return [
    ...someOf('Certificates were altered or are missing before', wrong),
    ...someOf('Certificates without a signature of the shop', unsigned),
  ];
};
