import { asc, eq, gte, inArray, like, or, type SQL, sql } from 'drizzle-orm';
import { z } from 'zod';
import { UNIT_KINDS } from '@/core/family/family-name';
import { type Fitment, seenValues, withLearned } from '@/core/identify/fitment';
import { FeaturesSchema } from '@/core/identify/identify-schema';
import { stored } from '@/core/schema/stored';
import { type Indexed, indexFitment } from '@/core/store/search';
import { fitmentSubject } from '@/core/unit/teaches';
import type { Reader } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { fitments, tallies } from '../tables';

const Numbers = z.array(z.string());
const Features = stored(FeaturesSchema);
const Kind = z.enum(UNIT_KINDS);

export const toFitment = ({ changedAt: _, ...row }: typeof fitments.$inferSelect): Fitment => ({
  ...row,
  family: Kind.parse(row.family),
  features: Features.parse(row.features),
  kits: Numbers.parse(row.kits),
});

const stampQuery = prepared((db: Reader) =>
  db
    .select({
      n: sql<number>`(select count(*) from fitments)`,
      changedAt: sql<number>`max((select coalesce(max(changed_at), 0) from fitments), (select coalesce(max(changed_at), 0) from tallies))`,
    })
    .from(sql`(select 1)`)
    .prepare(),
);
type Stamp = { readonly n: number; readonly changedAt: number };

export type IndexedFitment = Indexed<Fitment> & { readonly seen: number };
/** Every fitment, in order and by id. */
export type FitmentIndex = { readonly entries: readonly IndexedFitment[]; readonly byId: ReadonlyMap<string, IndexedFitment> };
type Index = Stamp & FitmentIndex;
const indexOf = (stamp: Stamp, entries: readonly IndexedFitment[]): Index => ({
  ...stamp,
  entries,
  byId: new Map(entries.map((e) => [e.what.id, e])),
});
const kept = prepared((_: Reader) => new Map<'index', Promise<Index>>());

/** All fitments, ready to be searched; what an entry leaves open is filled by what released units of it measured, `seen` of them. */
export async function fitmentIndex(db: Reader): Promise<FitmentIndex> {
  const [now = { n: 0, changedAt: 0 }] = await stampQuery(db).execute();
  const before = await kept(db).get('index');
  if (before?.n === now.n && before.changedAt === now.changedAt) return before;
  const reading = before !== undefined && before.n === now.n ? patched(db, before, now) : whole(db, now);
  kept(db).set('index', reading);
  // A reading that failed is not what the next one starts from.
  reading.catch(() => kept(db).delete('index'));
  return reading;
}

const order = [asc(fitments.maker), asc(fitments.machine), asc(fitments.position)];
/** Fitments made ready in one go, so that whatever else is asked meanwhile need not wait for all of them. */
const AT_ONCE = 250;

const whole = async (db: Reader, stamp: Stamp): Promise<Index> => {
  const taught = await learnedOf(db, like(tallies.subject, `${fitmentSubject('')}%`));
  const rows = await db
    .select()
    .from(fitments)
    .orderBy(...order);
  const entries: IndexedFitment[] = [];
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    entries.push(...rows.slice(i, i + AT_ONCE).map((row) => entryOf(row, taught)));
    await new Promise((resolve) => setImmediate(resolve));
  }
  return indexOf(stamp, entries);
};

/** The index with what was changed or taught since it was made; none was added or taken away. */
const patched = async (db: Reader, before: Index, stamp: Stamp): Promise<Index> => {
  const since = before.changedAt;
  const subjects = await db.select({ subject: tallies.subject }).from(tallies).where(gte(tallies.changedAt, since));
  const taughtIds = subjects.flatMap(({ subject }) =>
    subject.startsWith(fitmentSubject('')) ? [subject.slice(fitmentSubject('').length)] : [],
  );
  const rows = await db
    .select()
    .from(fitments)
    .where(or(gte(fitments.changedAt, since), inArray(fitments.id, taughtIds)));
  if (rows.length === 0) return { ...before, ...stamp };
  const subjectsOf = rows.map((row) => fitmentSubject(row.id));
  const taught = await learnedOf(db, inArray(tallies.subject, subjectsOf));
  const news = new Map(rows.map((row) => [row.id, entryOf(row, taught)]));
  return indexOf(
    stamp,
    before.entries.map((e) => news.get(e.what.id) ?? e),
  );
};

const entryOf = (row: typeof fitments.$inferSelect, taught: Awaited<ReturnType<typeof learnedOf>>): IndexedFitment => {
  const fitment = toFitment(row);
  const counts = taught.get(fitmentSubject(row.id)) ?? new Map<string, number>();
  return { ...indexFitment({ ...fitment, features: withLearned(fitment.features, seenValues(counts)) }), seen: counts.get('') ?? 0 };
};

/** Fitments as they were entered, without what was learned. */
export const storedFitments = async (db: Reader): Promise<readonly Fitment[]> =>
  (await db.select().from(fitments).orderBy(asc(fitments.id))).map(toFitment);

/** One fitment as it was entered; undefined when there is none. */
export const storedFitment = async (db: Reader, id: string): Promise<Fitment | undefined> => {
  const [row] = await db.select().from(fitments).where(eq(fitments.id, id));
  return row && toFitment(row);
};

/** What released units measured, counted, by the fitment they were. */
async function learnedOf(db: Reader, which: SQL): Promise<ReadonlyMap<string, ReadonlyMap<string, number>>> {
  const rows = await db.select().from(tallies).where(which);
  const all = new Map<string, Map<string, number>>();
  for (const { subject, what, n } of rows) {
    const counts = all.get(subject) ?? new Map<string, number>();
    counts.set(what, n);
    all.set(subject, counts);
  }
  return all;
}
