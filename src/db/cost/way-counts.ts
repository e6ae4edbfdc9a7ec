import { and, desc, eq, sql } from 'drizzle-orm';
import { marginOf, type WayCounts } from '@/core/offer/unit-options';
import type { Reader } from '../engine/connection';
import { taughtUnits, units } from '../tables';

/** Units that tell how a way holds: the last that left. */
const MOST = 2000;
/** A unit tells whether it holds once it has been out so long, days: what left lately would look too good. */
const FOLLOW_DAYS = 180;
const DAY_MS = 86_400_000;

/** How the last units that were released did, by family, way and margin: whether a run of theirs failed, and whether they came back in time. */
export async function wayCounts(db: Reader, now: number): Promise<readonly WayCounts[]> {
  const followed = now - FOLLOW_DAYS * DAY_MS;
  const last = await db
    .select({
      family: units.family,
      way: taughtUnits.way,
      // A statement that joins names its columns by their tables here, since what is inside reads other rows.
      runs: sql<'failed' | 'passed' | null>`(select case when max(r.outcome = 'fail') then 'failed' else 'passed' end from runs r
        where r.unit_id = taught_units.unit_id and r.outcome in ('pass', 'fail') group by r.unit_id)`,
      back: sql<number>`exists (select 1 from units b where b.comes_back_from = taught_units.unit_id
        and b.created_at <= units.exit_at + ${FOLLOW_DAYS * DAY_MS})`,
      spareMm: sql<number | null>`(select json_extract(v.answer, '$.marginMm') from verdicts v
        where v.unit_id = taught_units.unit_id order by v.at desc limit 1)`,
      exitAt: units.exitAt,
    })
    .from(taughtUnits)
    .innerJoin(units, eq(units.id, taughtUnits.unitId))
    .where(and(eq(units.exit, 'released')))
    .orderBy(desc(taughtUnits.at))
    .limit(MOST);
  const all = new Map<string, WayCounts>();
  for (const { family, way, runs, back, spareMm, exitAt } of last) {
    const margin = marginOf(spareMm);
    const key = `${family} ${way} ${margin}`;
    const was = all.get(key) ?? { family, way, margin, proved: 0, failed: 0, kept: 0, back: 0 };
    const told = exitAt !== null && exitAt <= followed;
    all.set(key, {
      ...was,
      proved: was.proved + (runs === 'passed' ? 1 : 0),
      failed: was.failed + (runs === 'failed' ? 1 : 0),
      kept: was.kept + (told && !back ? 1 : 0),
      back: was.back + (told && back ? 1 : 0),
    });
  }
  return [...all.values()];
}
