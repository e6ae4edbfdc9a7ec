import { eq } from 'drizzle-orm';
import type { Measured } from '@/core/identify/feature';
import { sayFitment } from '@/core/identify/fitment';
import { ok, type Result } from '@/core/result';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { put } from '../engine/edit';
import { fitments } from '../tables';
import { toFitment } from './fitments';

/** Says which fitment a unit is, with what was measured to tell. Once the unit is released, the fitment learns from it. */
export const identifyUnit = (
  db: Db,
  change: Change,
  i: { readonly fitmentId: string; readonly measured: Measured },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const [row] = await tx.select().from(fitments).where(eq(fitments.id, i.fitmentId));
    if (row === undefined) return refused('There is no such fitment.');
    const unitId = record.unit.id;
    const identity = { id: `${unitId}-identity`, unitId, fitmentId: row.id, label: sayFitment(toFitment(row)) };
    return ok([put('identities', { ...identity, measured: i.measured, at, personId: change.person.id })]);
  });
