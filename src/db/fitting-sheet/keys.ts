import { eq } from 'drizzle-orm';
import type { UnitRecord } from '@/core/unit/unit-record';
import type { Reader } from '../engine/connection';
import { loadUnit } from '../engine/load-unit';
import { fittingKeys } from '../tables';

/** What the address of a unit's fitting sheet ends in. */
export const fittingKeyOf = async (db: Reader, unitId: string): Promise<string> => {
  const [row] = await db.select().from(fittingKeys).where(eq(fittingKeys.unitId, unitId));
  if (row === undefined) throw new Error(`unit ${unitId} has no key of a fitting sheet`);
  return row.key;
};

/** The unit whose fitting sheet has such a key. */
export const unitOfFittingKey = async (db: Reader, key: string): Promise<UnitRecord | undefined> => {
  const [row] = await db.select().from(fittingKeys).where(eq(fittingKeys.key, key));
  return row === undefined ? undefined : loadUnit(db, row.unitId);
};
