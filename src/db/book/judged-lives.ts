import { and, desc, eq, isNotNull, lte, sql } from 'drizzle-orm';
import type { JudgedLife } from '@/core/book/limits-tried';
import type { JudgeInput } from '@/core/judge/judge';
import type { Reader } from '../engine/connection';
import { bookUnits, verdicts } from '../tables';

const DAY_MS = 86_400_000;
/** Judgements that are made again: the last of units of which it is known what came. */
export const MOST_JUDGED = 400;

/** The last judgement of each released unit that came back within so many days, or was out for as long. */
export async function judgedLives(
  db: Reader,
  now: number,
  followDays: number,
): Promise<{ readonly lives: readonly JudgedLife[]; readonly inAll: number }> {
  const inTime = sql`${bookUnits.backAt} <= ${bookUnits.exitAt} + ${followDays * DAY_MS}`;
  const told = and(eq(bookUnits.exit, 'released'), isNotNull(bookUnits.rulesVersion), lte(bookUnits.exitAt, now - followDays * DAY_MS));
  const [rows, [counted]] = await Promise.all([
    db
      .select({ tagNo: bookUnits.tagNo, input: verdicts.input, back: sql<number>`coalesce(${inTime}, 0)` })
      .from(bookUnits)
      .innerJoin(
        verdicts,
        sql`${verdicts.id} = (select v.id from verdicts v where v.unit_id = ${bookUnits.unitId} order by v.at desc limit 1)`,
      )
      .where(told)
      .orderBy(desc(bookUnits.exitAt))
      .limit(MOST_JUDGED),
    db.select({ n: sql<number>`count(*)` }).from(bookUnits).where(told),
  ]);
  return {
    lives: rows.map(({ tagNo, input, back }) => ({ tagNo, input: input as JudgeInput, came: back ? 'came-back' : 'held' })),
    inAll: counted?.n ?? 0,
  };
}
