import { desc, eq, type SQL, sql } from 'drizzle-orm';
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
export type LotFaults = { readonly number: string; readonly lot: string; readonly opened: number; readonly faulty: number };
export const lotFaults = async (db: Reader): Promise<Counted<LotFaults>> =>
  shown(
    // Only bags of lots that had a fault are gone through: those with one have an index of their own.
    await db.all<LotFaults>(sql`with faulty as (select distinct number, lot_code from bags where findings <> '[]')
      select f.number, f.lot_code as lot, count(*) as opened, sum(b.findings <> '[]') as faulty
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

/** A unit behind a figure: when, and what was noted there. */
export type Behind = { readonly tagNo: number; readonly at: number; readonly what: string };
/** Which figure it is, by what its row stands for. */
export type BehindWhat =
  | { readonly of: 'lot'; readonly number: string; readonly lot: string }
  | { readonly of: 'cause'; readonly cause: string; readonly complaint: string }
  | { readonly of: 'freed'; readonly state: string; readonly method: string }
  | { readonly of: 'stones'; readonly material: string; readonly grit: string };
const MOST_BEHIND = 200;

/** The rows that a figure is made of, the last first; how many there are in all is told. */
export const rowsBehind = async (db: Reader, asked: BehindWhat): Promise<Counted<Behind>> => {
  const rows = await db.all<Behind & { readonly inAll: number }>(
    sql`select *, count(*) over () as inAll from (${behind(asked)}) order by at desc limit ${MOST_BEHIND}`,
  );
  return { rows, inAll: rows[0]?.inAll ?? 0 };
};

const behind = (asked: BehindWhat): SQL => {
  switch (asked.of) {
    case 'lot':
      return sql`select u.tag_no as tagNo, b.opened_at as at, case when b.findings = '[]' then 'all as stated' else 'something missing or wrong' end as what
        from bags b join units u on u.id = b.unit_id where b.lot_code = ${asked.lot} and b.number = ${asked.number} and b.opened_at is not null`;
    case 'cause':
      return sql`select distinct u.tag_no as tagNo, u.exit_at as at, '' as what from findings f join units u on u.id = f.unit_id, json_each(u.complaints) c
        where f.about = 'cause' and f.name = ${asked.cause} and f.answer = 'yes' and u.exit_at is not null and c.value = ${asked.complaint}`;
    case 'freed':
      return sql`select u.tag_no as tagNo, t.at, t.result as what from treatments t join units u on u.id = t.unit_id
        where t.state = ${asked.state} and t.method = ${asked.method} and t.result <> 'waiting'`;
    case 'stones':
      return sql`select u.tag_no as tagNo, p.at, p.strokes || ' strokes, ' || round((p.after_mm - p.before_mm) * 1000, 1) || ' µm' as what
        from (select * from hone_passes where tool = 'stone' order by at desc limit ${MOST_PASSES}) p join units u on u.id = p.unit_id
        where p.material = ${asked.material} and p.grit = ${asked.grit}`;
  }
};
