import { desc, eq } from 'drizzle-orm';
import { marginOf, type WayCounts } from '@/core/offer/unit-options';
import type { Reader } from '../engine/connection';
import { bookUnits, taughtUnits } from '../tables';

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
      family: bookUnits.family,
      way: taughtUnits.way,
      rig: bookUnits.rig,
      backAt: bookUnits.backAt,
      spareMm: bookUnits.marginMm,
      exitAt: bookUnits.exitAt,
    })
    .from(taughtUnits)
    .innerJoin(bookUnits, eq(bookUnits.unitId, taughtUnits.unitId))
    .where(eq(bookUnits.exit, 'released'))
    .orderBy(desc(taughtUnits.at))
    .limit(MOST);
  const all = new Map<string, WayCounts>();
  for (const { family, way, rig, backAt, spareMm, exitAt } of last) {
    const margin = marginOf(spareMm);
    const key = `${family} ${way} ${margin}`;
    const was = all.get(key) ?? { family, way, margin, proved: 0, failed: 0, kept: 0, back: 0 };
    const told = exitAt <= followed;
    const back = backAt !== null && backAt <= exitAt + FOLLOW_DAYS * DAY_MS;
    all.set(key, {
      ...was,
      proved: was.proved + (rig === 'passed' ? 1 : 0),
      failed: was.failed + (rig === 'failed' ? 1 : 0),
      kept: was.kept + (told && !back ? 1 : 0),
      back: was.back + (told && back ? 1 : 0),
    });
  }
  return [...all.values()];
}
