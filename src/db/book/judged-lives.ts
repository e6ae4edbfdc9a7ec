import { and, desc, eq, isNotNull, sql } from 'drizzle-orm';
import type { JudgedLife } from '@/core/book/limits-tried';
import type { JudgeInput } from '@/core/judge/judge';
import type { Reader } from '../engine/connection';
import { units, verdicts } from '../tables';

const DAY_MS = 86_400_000;
/** Judgements that are made again: the last of units of which it is known what came. */
export const MOST_JUDGED = 400;

/** The last judgement of each released unit that came back within so many days, or was out for as long. */
export async function judgedLives(
  db: Reader,
  now: number,
  followDays: number,
): Promise<{ readonly lives: readonly JudgedLife[]; readonly inAll: number }> {
  const backAt = sql<number | null>`(select min(b.created_at) from units b where b.comes_back_from = units.id)`;
  const inTime = sql`${backAt} <= units.exit_at + ${followDays * DAY_MS}`;
  const told = and(eq(units.exit, 'released'), isNotNull(units.outcome), sql`(units.exit_at <= ${now - followDays * DAY_MS})`);
  const [rows, [counted]] = await Promise.all([
    db
      .select({ tagNo: units.tagNo, input: verdicts.input, back: sql<number>`${backAt} is not null and ${inTime}` })
      .from(units)
      .innerJoin(verdicts, sql`${verdicts.id} = (select v.id from verdicts v where v.unit_id = units.id order by v.at desc limit 1)`)
      .where(told)
      .orderBy(desc(units.exitAt))
      .limit(MOST_JUDGED),
    db.select({ n: sql<number>`count(*)` }).from(units).where(told),
  ]);
  return {
    lives: rows.map(({ tagNo, input, back }) => ({ tagNo, input: input as JudgeInput, came: back ? 'came-back' : 'held' })),
    inAll: counted?.n ?? 0,
  };
}
