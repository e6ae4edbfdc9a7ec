import { sql } from 'drizzle-orm';
import type { Db } from '@/db/engine/connection';
import type { Line } from './line';

const BAR_KB = 40;

/** What the longest history of a unit takes on disk, without photos and traces. */
export async function historyLine(db: Db): Promise<Line> {
  const [row] = await db.all<{ bytes: number; events: number }>(
    sql`select sum(length(payload) + length(note) + length(kind) + length(id) + 60) as bytes, count(*) as events from unit_events group by unit_id order by 1 desc limit 1`,
  );
  const kB = (row?.bytes ?? 0) / 1000;
  return {
    what: `the longest history of a unit, ${row?.events} events`,
    ours: `${kB.toFixed(1)} kB`,
    peer: '–',
    bar: `≤ ${BAR_KB} kB`,
    holds: kB <= BAR_KB,
  };
}
