import { desc, eq, sql } from 'drizzle-orm';
import type { TimedPass } from '@/core/book/learned';
import type { Grit } from '@/core/hone/cutting-rate';
import { CAUSES_SEEN } from '@/core/unit/teaches';
import type { Reader } from '../engine/connection';
import { tallyOf } from '../engine/tally';
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
    // Only bags of lots that had a fault are gone through: those with one have an index of their own.
    await db.all<LotFaults>(sql`with faulty as (select distinct number, lot_code from bags where findings <> '[]')
      select f.number || ', lot ' || f.lot_code as lot, count(*) as opened, sum(b.findings <> '[]') as faulty
      from faulty f join bags b on b.lot_code = f.lot_code and b.number = f.number where b.opened_at is not null
      group by f.number, f.lot_code order by faulty * 1.0 / count(*) desc, opened desc`),
  );

/** A cause that was confirmed, against what the customer had said, and of how many units that left. */
export type CauseHeard = { readonly complaint: string; readonly cause: string; readonly units: number };
export const causesHeard = async (db: Reader): Promise<Counted<CauseHeard>> =>
  shown(
    [...(await tallyOf(db, CAUSES_SEEN))]
      .flatMap(([what, units]): CauseHeard[] => {
        const [cause, complaint] = what.split(' ');
        return cause === undefined || complaint === undefined || units === 0 ? [] : [{ cause, complaint, units }];
      })
      .toSorted((a, b) => b.units - a.units || a.complaint.localeCompare(b.complaint) || a.cause.localeCompare(b.cause)),
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
