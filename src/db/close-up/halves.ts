import { and, asc, eq, isNull, ne } from 'drizzle-orm';
import { tagOf, type Unit } from '@/core/unit/unit-record';
import type { Reader } from '../engine/connection';
import { units } from '../tables';

/** Tags of the other units of a job that are of the same family and in the shop: one of them is what a caliper half is joined with. */
export async function otherHalves(db: Reader, { id, jobId, family }: Pick<Unit, 'id' | 'jobId' | 'family'>): Promise<readonly string[]> {
  const rows = await db
    .select({ tagNo: units.tagNo })
    .from(units)
    .where(and(eq(units.jobId, jobId), eq(units.family, family), ne(units.id, id), isNull(units.exit)))
    .orderBy(asc(units.tagNo));
  return rows.map(tagOf);
}
