import { and, desc, eq, isNull, or, sql } from 'drizzle-orm';
import type { MakersLimit } from '@/core/judge/limits';
import { ok, type Result } from '@/core/result';
import { hasPot, noPot } from '@/core/unit/bores';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { put } from '../engine/edit';
import { makersLimits } from '../tables';

/** The maker's limit that holds for a bore of a unit: its own, else the one of its fitment (family, machine and place); null where there is none. */
export async function makersLimitOf(db: Reader, { unit, job }: Pick<UnitRecord, 'unit' | 'job'>, pot = 1): Promise<MakersLimit | null> {
  const ofFitment = and(
    isNull(makersLimits.unitId),
    eq(makersLimits.family, unit.family),
    eq(makersLimits.machine, job.machine),
    eq(makersLimits.position, unit.position),
  );
  const rows = await db
    .select({ unitId: makersLimits.unitId, maxDiaMm: makersLimits.maxDiaMm, source: makersLimits.source })
    .from(makersLimits)
    .where(and(eq(makersLimits.pot, pot), or(eq(makersLimits.unitId, unit.id), ofFitment)))
    .orderBy(sql`${makersLimits.unitId} is null`, desc(makersLimits.at));
  // A limit that was taken back is a row without one: then the fitment's counts, if it has not been taken back too.
  const newest = [rows.find((r) => r.unitId !== null), rows.find((r) => r.unitId === null)].find((r) => r?.maxDiaMm != null);
  return newest?.maxDiaMm == null ? null : { maxDiaMm: newest.maxDiaMm, source: newest.source };
}

export type LimitEntry = {
  readonly scope: 'unit' | 'fitment';
  /** Which bore of it, from 1; the first where nothing is said. */
  readonly pot?: number;
  /** Null takes it back. */
  readonly maxDiaMm: number | null;
  readonly source: string;
};

/** Notes what a manual allows for this unit, or for every unit of its fitment. Judgements that were saved stay as they are. */
export const setMakersLimit = (
  db: Db,
  change: Change,
  { scope, pot = 1, maxDiaMm, source }: LimitEntry,
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, ({ unit, job }, at) => {
    if (!hasPot(unit, pot)) return refused(noPot(pot));
    return ok([
      put('makersLimits', {
        id: change.eventId,
        pot,
        unitId: scope === 'unit' ? unit.id : null,
        family: unit.family,
        machine: job.machine,
        position: unit.position,
        maxDiaMm,
        source,
        at,
        personId: change.person.id,
      }),
    ]);
  });
