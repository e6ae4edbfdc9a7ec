import { eq, sql } from 'drizzle-orm';
import type { UnitRecord } from '@/core/unit/unit-record';
import type { Db, Reader } from './connection';
import { loadUnit } from './load-unit';
import { prepared } from './prepared';
import { units } from './tables';

const AT_MOST = 300;

/** Units looked at lately, as they were read; the one looked at longest ago goes first. */
const kept = prepared((_: Db) => new Map<string, UnitRecord>());

const versionOfTag = prepared((db: Reader) =>
  db
    .select({ id: units.id, version: units.version })
    .from(units)
    .where(eq(units.tagNo, sql.placeholder('tagNo')))
    .prepare(),
);

/**
 * The unit of a tag; undefined when there is none. Reading all of a unit costs many times what asking for its version does, and every
 * change to what a unit owns raises its version: a record of the same version is given again. What a unit only points at (customer,
 * job, variant, kit) is never changed in place, but for the programme of a family: a new one has all units read again.
 */
export async function unitOfTag(db: Db, tagNo: number): Promise<UnitRecord | undefined> {
  const [row] = await versionOfTag(db).execute({ tagNo });
  if (row === undefined) return undefined;
  const known = kept(db).get(row.id);
  const record = known?.unit.version === row.version ? known : await loadUnit(db, row.id);
  if (record !== undefined) keep(db, record);
  return record;
}

/** The unit as last read, or read now: it may have been changed since, as its version tells. */
export const lastKnown = async (db: Db, unitId: string): Promise<UnitRecord | undefined> =>
  kept(db).get(unitId) ?? (await loadUnit(db, unitId));

/** Has every unit read again: what they all point at was changed. */
export const forgetUnits = (db: Db): void => kept(db).clear();

/** Keeps a unit as it was read, or as a change of this process left it. */
export const keep = (db: Db, record: UnitRecord): void => {
  const all = kept(db);
  all.delete(record.unit.id);
  all.set(record.unit.id, record);
  if (all.size > AT_MOST) all.delete(all.keys().next().value as string);
};
