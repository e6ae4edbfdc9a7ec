import { eq, sql } from 'drizzle-orm';
import { type Lesson, lessonsMoved } from '@/core/unit/teaches';
import { tallies } from '../tables';
import type { Reader, Tx } from './connection';

/** All counts of a subject, by what is counted. */
export const tallyOf = async (db: Reader, subject: string): Promise<ReadonlyMap<string, number>> =>
  new Map(
    (await db.select({ what: tallies.what, n: tallies.n }).from(tallies).where(eq(tallies.subject, subject))).map((t) => [t.what, t.n]),
  );

/** Moves the counts by what a change made of a unit. @param at ms since 1970 */
export async function moveTallies(tx: Tx, before: readonly Lesson[], after: readonly Lesson[], at: number): Promise<void> {
  const rows = lessonsMoved(before, after).map(({ subject, what, by }) => ({ subject, what, n: by, changedAt: at }));
  if (rows.length === 0) return;
  await tx
    .insert(tallies)
    .values(rows)
    .onConflictDoUpdate({
      target: [tallies.subject, tallies.what],
      set: { n: sql`${tallies.n} + excluded.n`, changedAt: sql`max(${tallies.changedAt}, excluded.changed_at)` },
    });
}
