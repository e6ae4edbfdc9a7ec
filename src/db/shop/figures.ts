import { count, gt, isNull } from 'drizzle-orm';
import type { Reader } from '../engine/connection';
import { sessions, timers, units } from '../tables';

/** How much goes on in the shop now. */
export async function shopFigures(
  db: Reader,
  now: number,
): Promise<{ readonly units: number; readonly sessions: number; readonly waits: number }> {
  const [[inShop], [open], [running]] = await Promise.all([
    db.select({ n: count() }).from(units).where(isNull(units.exit)),
    db
      .select({ n: count() })
      .from(sessions)
      .where(gt(sessions.expiresAt, new Date(now))),
    db.select({ n: count() }).from(timers).where(isNull(timers.doneAt)),
  ]);
  return { units: inShop?.n ?? 0, sessions: open?.n ?? 0, waits: running?.n ?? 0 };
}
