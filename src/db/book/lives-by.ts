import { and, desc, eq, inArray, lt, or, type SQL, sql } from 'drizzle-orm';
import type { Grouping } from '@/core/book/grouping';
import type { Life } from '@/core/book/lives';
import type { Reader } from '../engine/connection';
import { bags, customers, jobs, units } from '../tables';

const DAY_MS = 86_400_000;
/** Units that are looked at: the last that were released. */
export const MOST_LIVES = 20_000;
/** So many at a time: pages are answered between. */
const PIECE = 500;

/** A released unit in one of the groups that it is in: when it left, and when it came back, if it did. */
export type Lived = {
  readonly unitId: string;
  readonly tagNo: number;
  readonly group: string;
  readonly exitAt: number;
  readonly backAt: number | null;
};

const lastVerdict = (what: SQL) =>
  sql<string | null>`(select ${what} from verdicts v where v.unit_id = units.id order by v.at desc limit 1)`;

/** The group of a released unit; statements on other rows, by their indexes. */
const GROUP: { readonly [G in Exclude<Grouping, 'kit' | 'lot'>]: SQL<string | null> } = {
  way: sql`coalesce((select t.way from taught_units t where t.unit_id = units.id), units.outcome, 'no-bore')`,
  school: lastVerdict(sql`json_extract(v.input, '$.school')`),
  margin: lastVerdict(
    sql`case when json_extract(v.answer, '$.marginMm') is null then 'none' when json_extract(v.answer, '$.marginMm') < 0.01 then 'thin'
      when json_extract(v.answer, '$.marginMm') < 0.03 then 'some' else 'ample' end`,
  ),
  confidence: lastVerdict(
    sql`case when json_extract(v.answer, '$.confidence') is null then 'none' when json_extract(v.answer, '$.confidence') >= 0.999 then 'most'
      when json_extract(v.answer, '$.confidence') >= 0.99 then 'high' when json_extract(v.answer, '$.confidence') >= 0.95 then 'some' else 'less' end`,
  ),
  family: sql`units.family`,
  material: sql`units.material`,
  rules: sql`(select s.version from verdicts v join rule_sets s on s.id = v.rule_set_id where v.unit_id = units.id order by v.at desc limit 1)`,
  programme: sql`(select r.programme from runs r where r.unit_id = units.id order by r.started_at desc limit 1)`,
  rig: sql`(select case when max(r.outcome = 'fail') then 'failed' else 'passed' end from runs r where r.unit_id = units.id and r.outcome in ('pass', 'fail') group by r.unit_id)`,
};
const BAG = { kit: sql<string>`${bags.number}`, lot: sql<string>`${bags.number} || ', lot ' || ${bags.lotCode}` };

const released = eq(units.exit, 'released');
/** Those that left before one, or with it and stand behind it. */
const behind = (last: { readonly exitAt: number; readonly id: string } | undefined): SQL | undefined =>
  last && or(lt(units.exitAt, last.exitAt), and(eq(units.exitAt, last.exitAt), lt(units.id, last.id)));
const backAt = sql<number | null>`(select min(b.created_at) from units b where b.comes_back_from = units.id)`;

/** One person's work beside that of all others, for teaching; whoever asks for it has been asked whether they may. */
export type OnePerson = { readonly personId: string };
const closedUpBy = (personId: string): SQL<string | null> =>
  sql`case when exists (select 1 from steps s where s.unit_id = units.id and s.station = 'close-up' and s.person_id = ${personId}) then 'theirs' else 'others' end`;

/** The last units that were released, by their group; one of several bags is in the group of each. @returns how many there are in all beside */
export async function livesBy(db: Reader, by: Grouping | OnePerson): Promise<{ readonly lived: readonly Lived[]; readonly inAll: number }> {
  const group = typeof by === 'object' ? closedUpBy(by.personId) : by === 'kit' || by === 'lot' ? sql`null` : GROUP[by];
  const all: Lived[] = [];
  const seen = new Set<string>();
  let last: { readonly exitAt: number; readonly id: string } | undefined;
  for (let asked = 0; asked < MOST_LIVES; asked += PIECE) {
    const rows = await db
      .select({
        unitId: units.id,
        tagNo: units.tagNo,
        exitAt: units.exitAt,
        backAt,
        group: sql<string | null>`${group}`,
      })
      .from(units)
      .where(and(released, behind(last)))
      .orderBy(desc(units.exitAt), desc(units.id))
      .limit(PIECE);
    const bagged =
      by === 'kit' || by === 'lot'
        ? await bagsOf(
            db,
            rows.map((r) => r.unitId),
            BAG[by],
          )
        : undefined;
    for (const r of rows) {
      const groups = bagged === undefined ? [String(r.group ?? 'none')] : (bagged.get(r.unitId) ?? []);
      for (const g of groups) {
        const key = `${r.unitId} ${g}`;
        if (seen.has(key)) continue;
        seen.add(key);
        all.push({ unitId: r.unitId, tagNo: r.tagNo, group: g, exitAt: r.exitAt ?? 0, backAt: r.backAt });
      }
    }
    const end = rows.at(-1);
    if (rows.length < PIECE || end === undefined) break;
    last = { exitAt: end.exitAt ?? 0, id: end.unitId };
    await new Promise((next) => setImmediate(next));
  }
  return { lived: all, inAll: await countReleased(db) };
}

const countReleased = async (db: Reader): Promise<number> => {
  const [row] = await db.select({ n: sql<number>`count(*)` }).from(units).where(released);
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
export type StatisticsLine = Readonly<Record<Exclude<Grouping, 'kit' | 'lot'>, string>> & {
  readonly days: number;
  readonly cameBack: 'yes' | 'no';
  readonly releasedDaysAgo: number;
};

/** Every released unit as a line, the last of them first; at most as many as are looked at anywhere. */
export async function statisticsOf(db: Reader, now: number): Promise<readonly StatisticsLine[]> {
  const lines: StatisticsLine[] = [];
  let last: { readonly exitAt: number; readonly id: string } | undefined;
  for (let asked = 0; asked < MOST_LIVES; asked += PIECE) {
    const rows = await db
      .select({ id: units.id, exitAt: units.exitAt, backAt, ...GROUP })
      .from(units)
      .where(and(released, behind(last)))
      .orderBy(desc(units.exitAt), desc(units.id))
      .limit(PIECE);
    for (const { id: _, exitAt, backAt: back, ...groups } of rows) {
      const left = exitAt ?? now;
      const known = Object.fromEntries(Object.entries(groups).map(([by, stored]) => [by, String(stored ?? 'none')])) as Record<
        Exclude<Grouping, 'kit' | 'lot'>,
        string
      >;
      lines.push({
        ...known,
        days: Math.round(Math.max(0, ((back ?? now) - left) / DAY_MS) * 100) / 100,
        cameBack: back === null ? 'no' : 'yes',
        releasedDaysAgo: Math.round(Math.max(0, (now - left) / DAY_MS) * 100) / 100,
      });
    }
    const end = rows.at(-1);
    if (rows.length < PIECE || end === undefined) break;
    last = { exitAt: end.exitAt ?? 0, id: end.id };
    await new Promise((next) => setImmediate(next));
  }
  return lines;
}
