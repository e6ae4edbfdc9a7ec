import { and, asc, eq, isNull, type SQL, sql } from 'drizzle-orm';
import type { UnitRecord } from '@/core/unit/unit-record';
import { customers, programmes, units } from '../tables';
import type { Db, Reader } from './connection';
import { loadUnit } from './load-unit';
import { prepared } from './prepared';

const AT_MOST = 300;

/** A unit as it was last read or left by a change, and the stamp of what units share then. */
export type CachedUnit = { readonly record: UnitRecord; readonly shared: string };

/** Units looked at lately; the one looked at longest ago goes first. */
const kept = prepared((_: Db) => new Map<string, CachedUnit>());

/** Changes with what units only point at and is changed in place: programmes, of which a new one may be a unit's own, and customers. Part of another statement. */
export const sharedStamp = sql<string>`(select count(*) || ' ' || (select coalesce(max(edited_at), 0) from ${customers}) from ${programmes})`;

const stampOfTag = prepared((db: Reader) =>
  db
    .select({ id: units.id, version: units.version, shared: sharedStamp })
    .from(units)
    .where(eq(units.tagNo, sql.placeholder('tagNo')))
    .prepare(),
);

/**
 * The unit of a tag; undefined when there is none. Reading all of a unit costs many times what asking for its version does, and every
 * change to what a unit owns raises its version: a record of the same version is given again. What a unit only points at (job, variant,
 * kit) is never changed in place, but for its customer and the programme of its family, which have a stamp.
 */
export async function unitOfTag(db: Db, tagNo: number): Promise<UnitRecord | undefined> {
  const [row] = await stampOfTag(db).execute({ tagNo });
  if (row === undefined) return undefined;
  const known = kept(db).get(row.id);
  const record = isStill(known, row) ? known.record : await loadUnit(db, row.id);
  if (record !== undefined) keep(db, { record, shared: row.shared });
  return record;
}

/** Is what was kept what the database would give now? */
export const isStill = (
  known: CachedUnit | undefined,
  now: { readonly version: number; readonly shared: string } | undefined,
): known is CachedUnit => known !== undefined && known.record.unit.version === now?.version && known.shared === now.shared;

/** The unit as last kept, or read now: it may have been changed since, as its stamp tells. */
export const lastKnown = async (db: Db, unitId: string): Promise<CachedUnit | undefined> => {
  const known = kept(db).get(unitId);
  if (known !== undefined) return known;
  const { shared } = await db.get<{ readonly shared: string }>(sql`select ${sharedStamp} as shared`);
  const record = await loadUnit(db, unitId);
  return record === undefined ? undefined : { record, shared };
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
    .select({ id: units.id, version: units.version, shared: sharedStamp })
    .from(units)
    .where(and(isNull(units.exit), where))
    .orderBy(asc(units.dueAt), asc(units.tagNo));
  const records: UnitRecord[] = [];
  for (const row of rows) {
    const known = kept(db).get(row.id);
    const record = isStill(known, row) ? known.record : await loadUnit(db, row.id);
    if (record === undefined) continue;
    keep(db, { record, shared: row.shared });
    records.push(record);
  }
  return records;
}
