import { asc, eq, like, sql } from 'drizzle-orm';
import { z } from 'zod';
import { UNIT_KINDS } from '@/core/family/family-name';
import { type Fitment, seenValues, withLearned } from '@/core/identify/fitment';
import { FeaturesDoor } from '@/core/identify/identify-door';
import { stored } from '@/core/schema/stored';
import { indexFitment } from '@/core/store/search';
import { fitmentSubject } from '@/core/unit/teaches';
import type { Reader } from '../engine/connection';
import { keptBy } from '../engine/kept';
import { prepared } from '../engine/prepared';
import { fitments, tallies } from '../tables';

const Numbers = z.array(z.string());
const Features = stored(FeaturesDoor);
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
      stamp: sql<string>`(select count(*) || ' ' || coalesce(max(changed_at), 0) from fitments) || ' ' || (select coalesce(max(changed_at), 0) from tallies)`,
    })
    .from(sql`(select 1)`)
    .prepare(),
);
const stampOf = async (db: Reader): Promise<string> => (await stampQuery(db).execute())[0]?.stamp ?? '';

const readIndex = async (db: Reader) => {
  const taught = await learnedFrom(db);
  const rows = await db.select().from(fitments).orderBy(asc(fitments.maker), asc(fitments.machine), asc(fitments.position));
  return rows.map((row) => {
    const fitment = toFitment(row);
    const counts = taught.get(fitmentSubject(row.id)) ?? new Map<string, number>();
    return { ...indexFitment({ ...fitment, features: withLearned(fitment.features, seenValues(counts)) }), seen: counts.get('') ?? 0 };
  });
};
const keptIndex = keptBy<Reader, Awaited<ReturnType<typeof readIndex>>>(stampOf, readIndex);

/** All fitments, ready to be searched; what an entry leaves open is filled by what released units of it measured, `seen` of them. */
export const fitmentIndex = (db: Reader) => keptIndex(db, 'all');

/** Fitments as they were entered, without what was learned. */
export const storedFitments = async (db: Reader): Promise<readonly Fitment[]> =>
  (await db.select().from(fitments).orderBy(asc(fitments.id))).map(toFitment);

/** One fitment as it was entered; undefined when there is none. */
export const storedFitment = async (db: Reader, id: string): Promise<Fitment | undefined> => {
  const [row] = await db.select().from(fitments).where(eq(fitments.id, id));
  return row && toFitment(row);
};

/** What released units measured, counted, by the fitment they were. */
async function learnedFrom(db: Reader): Promise<ReadonlyMap<string, Map<string, number>>> {
  const rows = await db
    .select()
    .from(tallies)
    .where(like(tallies.subject, `${fitmentSubject('')}%`));
  const all = new Map<string, Map<string, number>>();
  for (const { subject, what, n } of rows) {
    const counts = all.get(subject) ?? new Map<string, number>();
    counts.set(what, n);
    all.set(subject, counts);
  }
  return all;
}
