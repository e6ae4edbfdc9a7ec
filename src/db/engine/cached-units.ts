import { and, asc, count, eq, isNull, type SQL, sql } from 'drizzle-orm';
import type { UnitRecord } from '@/core/unit/unit-record';
import { programmes, units } from '../tables';
import type { Db, Reader } from './connection';
import { loadUnit } from './load-unit';
import { prepared } from './prepared';

const AT_MOST = 300;

/** A unit as it was last read or left by a change, and how many programmes there were then: a new one may be its own. */
export type CachedUnit = { readonly record: UnitRecord; readonly programmes: number };

/** Units looked at lately; the one looked at longest ago goes first. */
const kept = prepared((_: Db) => new Map<string, CachedUnit>());

/** How many programmes were ever saved, as part of another statement. */
export const programmesSaved = sql<number>`(select count(*) from ${programmes})`;

const stampOfTag = prepared((db: Reader) =>
  db
    .select({ id: units.id, version: units.version, programmes: programmesSaved })
    .from(units)
    .where(eq(units.tagNo, sql.placeholder('tagNo')))
    .prepare(),
);

/**
 * The unit of a tag; undefined when there is none. Reading all of a unit costs many times what asking for its version does, and every
 * change to what a unit owns raises its version: a record of the same version is given again. What a unit only points at (customer,
 * job, variant, kit) is never changed in place, but for the programme of its family, which is counted.
 */
export async function unitOfTag(db: Db, tagNo: number): Promise<UnitRecord | undefined> {
  const [row] = await stampOfTag(db).execute({ tagNo });
  if (row === undefined) return undefined;
  const known = kept(db).get(row.id);
  const record = isStill(known, row) ? known.record : await loadUnit(db, row.id);
  if (record !== undefined) keep(db, { record, programmes: row.programmes });
  return record;
}

/** Is what was kept what the database would give now? */
export const isStill = (
  known: CachedUnit | undefined,
  now: { readonly version: number; readonly programmes: number } | undefined,
): known is CachedUnit => known !== undefined && known.record.unit.version === now?.version && known.programmes === now.programmes;

/** The unit as last kept, or read now: it may have been changed since, as its stamp tells. */
export const lastKnown = async (db: Db, unitId: string): Promise<CachedUnit | undefined> => {
  const known = kept(db).get(unitId);
  if (known !== undefined) return known;
  const [saved] = await db.select({ programmes: count() }).from(programmes);
  const record = await loadUnit(db, unitId);
  return record === undefined ? undefined : { record, programmes: saved?.programmes ?? 0 };
};

/** Keeps a unit as it was read, or as a change of this process left it. */
export const keep = (db: Db, unit: CachedUnit): void => {
  const all = kept(db);
  all.delete(unit.record.unit.id);
  all.set(unit.record.unit.id, unit);
  if (all.size > AT_MOST) all.delete(all.keys().next().value as string);
};

/** Whole units in the shop, read anew only where they were changed. @param where of those in the shop */
export async function unitsInShop(db: Db, where: SQL | undefined): Promise<readonly UnitRecord[]> {
  const rows = await db
    .select({ id: units.id, version: units.version, programmes: programmesSaved })
    .from(units)
    .where(and(isNull(units.exit), where))
    .orderBy(asc(units.dueAt), asc(units.tagNo));
  const records: UnitRecord[] = [];
  for (const row of rows) {
    const known = kept(db).get(row.id);
    const record = isStill(known, row) ? known.record : await loadUnit(db, row.id);
    if (record === undefined) continue;
    keep(db, { record, programmes: row.programmes });
    records.push(record);
  }
  return records;
}
