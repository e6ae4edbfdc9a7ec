import { and, desc, eq, inArray, type SQL, sql } from 'drizzle-orm';
import type { Grouping } from '@/core/book/grouping';
import type { Life } from '@/core/book/lives';
import type { Reader } from '../engine/connection';
import { bags, bookUnits, customers, jobs, units } from '../tables';

const DAY_MS = 86_400_000;
/** Units that are looked at: the last that were released. */
export const MOST_LIVES = 20_000;
/** So many at a time: pages are answered between. */
const PIECE = 250;

/** A released unit in one of the groups that it is in: when it left, and when it came back, if it did. */
export type Lived = {
  readonly unitId: string;
  readonly tagNo: number;
  readonly group: string;
  readonly exitAt: number;
  readonly backAt: number | null;
};

/** The group of a released unit. */
const GROUP: { readonly [G in Exclude<Grouping, 'kit' | 'lot'>]: SQL<string | null> } = {
  way: sql`${bookUnits.way}`,
  school: sql`${bookUnits.school}`,
  margin: sql`case when ${bookUnits.marginMm} is null then 'none' when ${bookUnits.marginMm} < 0.01 then 'thin'
    when ${bookUnits.marginMm} < 0.03 then 'some' else 'ample' end`,
  confidence: sql`case when ${bookUnits.confidence} is null then 'none' when ${bookUnits.confidence} >= 0.999 then 'most'
    when ${bookUnits.confidence} >= 0.99 then 'high' when ${bookUnits.confidence} >= 0.95 then 'some' else 'less' end`,
  family: sql`${bookUnits.family}`,
  material: sql`${bookUnits.material}`,
  rules: sql`${bookUnits.rulesVersion}`,
  programme: sql`${bookUnits.programme}`,
  rig: sql`${bookUnits.rig}`,
};
const BAG = { kit: sql<string>`${bags.number}`, lot: sql<string>`${bags.number} || ', lot ' || ${bags.lotCode}` };

const released = eq(bookUnits.exit, 'released');
/** Those that were released, the last first, so many at a time: pages are answered between. */
async function* pieces(db: Reader, groups: Readonly<Record<string, SQL<string | null>>>) {
  let last: { readonly exitAt: number; readonly unitId: string } | undefined;
  for (let asked = 0; asked < MOST_LIVES; asked += PIECE) {
    const rows = await db
      .select({ unitId: bookUnits.unitId, tagNo: bookUnits.tagNo, exitAt: bookUnits.exitAt, backAt: bookUnits.backAt, ...groups })
      .from(bookUnits)
      .where(and(released, last && sql`(${bookUnits.exitAt}, ${bookUnits.unitId}) < (${last.exitAt}, ${last.unitId})`))
      .orderBy(desc(bookUnits.exitAt), desc(bookUnits.unitId))
      .limit(PIECE);
    yield rows.map(({ unitId, tagNo, exitAt, backAt, ...by }) => ({ unitId, tagNo, exitAt, backAt, by: by as Stored }));
    last = rows.at(-1);
    if (rows.length < PIECE) return;
    await new Promise((next) => setImmediate(next));
  }
}
type Stored = Readonly<Record<string, string | number | null>>;

/** One person's work beside that of all others, for teaching; whoever asks for it has been asked whether they may. */
export type OnePerson = { readonly personId: string };
const closedUpBy = (personId: string): SQL<string | null> =>
  sql`case when exists (select 1 from steps s where s.unit_id = ${bookUnits.unitId} and s.station = 'close-up' and s.person_id = ${personId}) then 'theirs' else 'others' end`;

/** The last units that were released, by their group; one of several bags is in the group of each. @returns how many there are in all beside */
export async function livesBy(db: Reader, by: Grouping | OnePerson): Promise<{ readonly lived: readonly Lived[]; readonly inAll: number }> {
  const inBags = by === 'kit' || by === 'lot' ? BAG[by] : undefined;
  const group = typeof by === 'object' ? closedUpBy(by.personId) : by === 'kit' || by === 'lot' ? undefined : GROUP[by];
  const all: Lived[] = [];
  for await (const rows of pieces(db, group === undefined ? {} : { group })) {
    const bagged =
      inBags &&
      (await bagsOf(
        db,
        rows.map((r) => r.unitId),
        inBags,
      ));
    for (const { by: stored, ...row } of rows)
      for (const name of bagged === undefined ? [String(stored.group ?? 'none')] : new Set(bagged.get(row.unitId)))
        all.push({ ...row, group: name });
  }
  return { lived: all, inAll: await countReleased(db) };
}

const countReleased = async (db: Reader): Promise<number> => {
  const [row] = await db.select({ n: sql<number>`count(*)` }).from(bookUnits).where(released);
  return row?.n ?? 0;
};

const bagsOf = async (db: Reader, unitIds: readonly string[], what: SQL<string>): Promise<ReadonlyMap<string, readonly string[]>> => {
  const all = new Map<string, string[]>();
  if (unitIds.length === 0) return all;
  const rows = await db
    .select({ unitId: bags.unitId, what })
    .from(bags)
    .where(inArray(bags.unitId, [...unitIds]));
  for (const row of rows) all.set(row.unitId, [...(all.get(row.unitId) ?? []), row.what]);
  return all;
};

/** How long each held, as it is asked of chapter 15. */
export const asLives = (lived: readonly Lived[], now: number): readonly Life[] =>
  lived.map(({ group, exitAt, backAt: back }) => ({
    group,
    cameBack: back !== null,
    days: Math.max(0, ((back ?? now) - exitAt) / DAY_MS),
    releasedDaysAgo: Math.max(0, (now - exitAt) / DAY_MS),
  }));

/** A unit that is still out, with whom to call about it. */
export type StillOut = { readonly tagNo: number; readonly machine: string; readonly customer: string; readonly phone: string };

/** Whom units belong to, in the order given. */
export const ownersOf = async (db: Reader, unitIds: readonly string[]): Promise<readonly StillOut[]> => {
  if (unitIds.length === 0) return [];
  return db
    .select({ tagNo: units.tagNo, machine: jobs.machine, customer: customers.name, phone: customers.phone })
    .from(units)
    .innerJoin(jobs, eq(units.jobId, jobs.id))
    .innerJoin(customers, eq(jobs.customerId, customers.id))
    .where(inArray(units.id, [...unitIds]))
    .orderBy(desc(units.exitAt));
};

/** A released unit as a line of statistics: what is known of it, how long it held, and nobody’s name. */
type Groups = Readonly<Record<Exclude<Grouping, 'kit' | 'lot'>, string>>;
export type StatisticsLine = Groups & {
  readonly days: number;
  readonly cameBack: 'yes' | 'no';
  readonly releasedDaysAgo: number;
};

/** Released units as lines, the last first; at most as many as are looked at anywhere. @returns how many there are in all beside */
export async function statisticsOf(
  db: Reader,
  now: number,
): Promise<{ readonly lines: readonly StatisticsLine[]; readonly inAll: number }> {
  const lines: StatisticsLine[] = [];
  for await (const rows of pieces(db, GROUP))
    for (const { exitAt, backAt, by } of rows)
      lines.push({
        ...(Object.fromEntries(Object.entries(by).map(([name, stored]) => [name, String(stored ?? 'none')])) as Groups),
        days: hundredths(Math.max(0, ((backAt ?? now) - exitAt) / DAY_MS)),
        cameBack: backAt === null ? 'no' : 'yes',
        releasedDaysAgo: hundredths(Math.max(0, (now - exitAt) / DAY_MS)),
      });
  return { lines, inAll: await countReleased(db) };
}
const hundredths = (n: number): number => Math.round(n * 100) / 100;
