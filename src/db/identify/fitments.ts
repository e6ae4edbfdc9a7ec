import { asc, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { UNIT_KINDS } from '@/core/family/family-name';
import type { Measured } from '@/core/identify/feature';
import { type Fitment, withLearned } from '@/core/identify/fitment';
import { FeaturesDoor, MeasuredDoor } from '@/core/identify/identify-door';
import { indexFitment } from '@/core/store/search';
import type { Reader } from '../engine/connection';
import { keptBy } from '../engine/kept';
import { prepared } from '../engine/prepared';
import { fitments, identities, units } from '../tables';

const Numbers = z.array(z.string());
const Kind = z.enum(UNIT_KINDS);

export const toFitment = ({ changedAt: _, ...row }: typeof fitments.$inferSelect): Fitment => ({
  ...row,
  family: Kind.parse(row.family),
  features: FeaturesDoor.parse(row.features),
  kits: Numbers.parse(row.kits),
});

const stampQuery = prepared((db: Reader) =>
  db
    .select({ stamp: sql<string>`count(*) || ' ' || coalesce(max(${fitments.changedAt}), 0)` })
    .from(fitments)
    .prepare(),
);
const taughtQuery = prepared((db: Reader) =>
  db
    .select({ stamp: sql<string>`count(*) || ' ' || coalesce(max(${units.exitAt}), 0)` })
    .from(identities)
    .innerJoin(units, eq(units.id, identities.unitId))
    .where(eq(units.exit, 'released'))
    .prepare(),
);
const stampOf = async (db: Reader): Promise<string> =>
  [...(await stampQuery(db).execute()), ...(await taughtQuery(db).execute())].map((s) => s.stamp).join(' ');

const readIndex = async (db: Reader) => {
  const taught = await learnedFrom(db);
  const rows = await db.select().from(fitments).orderBy(asc(fitments.maker), asc(fitments.machine), asc(fitments.position));
  return rows.map((row) => {
    const fitment = toFitment(row);
    const seen = taught.get(row.id) ?? [];
    return { ...indexFitment({ ...fitment, features: withLearned(fitment.features, seen) }), seen: seen.length };
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

/** What released units measured, by the fitment they were. */
async function learnedFrom(db: Reader): Promise<ReadonlyMap<string, readonly Measured[]>> {
  const rows = await db
    .select({ fitmentId: identities.fitmentId, measured: identities.measured })
    .from(identities)
    .innerJoin(units, eq(units.id, identities.unitId))
    .where(eq(units.exit, 'released'));
  const all = new Map<string, Measured[]>();
  for (const { fitmentId, measured } of rows) all.set(fitmentId, [...(all.get(fitmentId) ?? []), MeasuredDoor.parse(measured)]);
  return all;
}
