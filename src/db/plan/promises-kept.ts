import { and, count, eq, isNotNull, sql } from 'drizzle-orm';
import type { Reader } from '../engine/connection';
import { units } from '../tables';

/** Of the units that were released, how many had a date that was to hold at 9 in 10, and how many of these were ready by it. */
export const promisesKept = async (db: Reader): Promise<{ readonly asked: number; readonly kept: number }> => {
  const [row] = await db
    .select({ asked: count(), kept: sql<number>`coalesce(sum(${units.exitAt} <= ${units.heldAt}), 0)` })
    .from(units)
    .where(and(isNotNull(units.heldAt), eq(units.exit, 'released')));
  return row ?? { asked: 0, kept: 0 };
};
