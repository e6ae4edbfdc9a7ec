import { desc, eq, sql } from 'drizzle-orm';
import type { TimedPass } from '@/core/book/learned';
import type { Grit } from '@/core/hone/cutting-rate';
import type { Reader } from '../engine/connection';
import { honePasses } from '../tables';

/** Passes that are looked at: the last with stones. */
export const MOST_PASSES = 2000;

export const timedPasses = async (db: Reader): Promise<readonly TimedPass[]> => {
  const { at, material, grit, strokes, strokesPerMin, rpm, beforeMm, afterMm } = honePasses;
  const rows = await db
    .select({ at, material, grit, strokes, strokesPerMin, rpm, beforeMm, afterMm })
    .from(honePasses)
    .where(eq(honePasses.tool, 'stone'))
    .orderBy(desc(at))
    .limit(MOST_PASSES);
  return rows.map((r) => ({ ...r, grit: r.grit as Grit }));
};

/** Rows that a table shows; how many there are in all is said. */
const MOST_ROWS = 60;
type Counted<R> = { readonly rows: readonly R[]; readonly inAll: number };
const shown = <R>(rows: readonly R[]): Counted<R> => ({ rows: rows.slice(0, MOST_ROWS), inAll: rows.length });

/** What was wrong with the bags of a lot: how many were opened, how many had something missing or wrong, and pieces spoilt in its fitting are not its fault. */
export type LotFaults = { readonly lot: string; readonly opened: number; readonly faulty: number };
export const lotFaults = async (db: Reader): Promise<Counted<LotFaults>> =>
  shown(
    await db.all<LotFaults>(sql`select number || ', lot ' || lot_code as lot, count(*) as opened,
      sum(json_array_length(findings) > 0) as faulty from bags where opened_at is not null
      group by number, lot_code having faulty > 0 order by faulty * 1.0 / count(*) desc, opened desc`),
  );

/** A cause that was confirmed, against what the customer had said, and how often. */
export type CauseHeard = { readonly complaint: string; readonly cause: string; readonly units: number };
export const causesHeard = async (db: Reader): Promise<Counted<CauseHeard>> =>
  shown(
    await db.all<CauseHeard>(sql`select c.value as complaint, f.name as cause, count(distinct f.unit_id) as units
      from findings f join units u on u.id = f.unit_id, json_each(u.complaints) c
      where f.about = 'cause' and f.answer = 'yes' group by 1, 2 order by 3 desc, 1, 2`),
  );

/** What was tried on what was stuck, how often it freed it, and at how much pressure at the most. */
export type Freed = {
  readonly method: string;
  readonly state: string;
  readonly tried: number;
  readonly freed: number;
  readonly mostBar: number | null;
};
export const whatFreed = async (db: Reader): Promise<Counted<Freed>> =>
  shown(
    await db.all<Freed>(sql`select method, state, count(*) as tried, sum(result in ('freed', 'moved')) as freed,
      max(case when result in ('freed', 'moved') then pressure_bar end) as mostBar
      from treatments where state is not null and result <> 'waiting' group by 1, 2 order by 3 desc, 1, 2`),
  );
