import { count, desc, eq, gt, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { UnitKind } from '@/core/family/family-name';
import { fail, ok, type Result } from '@/core/result';
import { type ComebackTally, tallyComebacks } from '@/core/unit/lives';
import type { SaveError } from '@/core/unit/save-error';
import { tagNumber, tagOf, type Unit } from '@/core/unit/unit-record';
import { cachedBy } from '../engine/cached';
import { unitOfTag } from '../engine/cached-units';
import type { Db, Reader } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { bags, ruleSets, units, verdicts } from '../tables';

/** The unit that a tag names as the first life of one that comes back; refused, with why, when it cannot be. @param tag empty: it was not here before */
export async function firstLife(
  db: Db,
  tag: string,
  family: UnitKind,
): Promise<Result<string | null, Extract<SaveError, { readonly code: 'refused' }>>> {
  if (tag === '') return ok(null);
  const number = tagNumber(tag);
  const record = number === undefined ? undefined : await unitOfTag(db, number);
  const refuse = (why: string) => fail({ code: 'refused' as const, reasons: [why] });
  if (record === undefined) return refuse(`There is no unit with the tag ${tag}: leave it empty if it was not here before.`);
  if (record.unit.exit === null) return refuse(`${tagOf(record.unit)} is still in the shop.`);
  if (record.unit.family !== family) return refuse(`${tagOf(record.unit)} is a ${record.family.label.toLowerCase()}, and this is not.`);
  return ok(record.unit.id);
}

/** Tags of the life before and the lives after. */
export async function otherLives(
  db: Reader,
  unit: Pick<Unit, 'id' | 'comesBackFrom'>,
): Promise<{ readonly before: string | null; readonly after: readonly string[] }> {
  const rows = await livesQuery(db).execute({ before: unit.comesBackFrom ?? '', id: unit.id });
  const before = rows.find((r) => r.id === unit.comesBackFrom);
  return { before: before === undefined ? null : tagOf(before), after: rows.filter((r) => r !== before).map(tagOf) };
}

const livesQuery = prepared((db: Reader) =>
  db
    .select({ id: units.id, tagNo: units.tagNo })
    .from(units)
    .where(or(eq(units.id, sql.placeholder('before')), eq(units.comesBackFrom, sql.placeholder('id'))))
    .orderBy(units.tagNo)
    .prepare(),
);

/** Every unit that came back, and what their first lives had in common, counted. */
export type Comebacks = {
  readonly inAll: number;
  /** Tags of those that came back last. */
  readonly newest: readonly string[];
  readonly tallies: readonly ComebackTally[];
};

/** Units that came back; said so that the index on it is used. */
const cameBack = gt(units.comesBackFrom, '');

/** Tags that are named; how many there are is said. */
const NAMED = 30;

const firstsJudgement = sql`(select ${verdicts.id} from ${verdicts} where ${verdicts.unitId} = ${units.comesBackFrom} order by ${verdicts.at} desc limit 1)`;

type Cause = string | null;
const readComebacks = async (db: Reader): Promise<Comebacks> => {
  const tagNos = await db.select({ tagNo: units.tagNo }).from(units).where(cameBack).orderBy(desc(units.createdAt));
  const n = count();
  const kits = await db
    .select({ what: sql<string>`${bags.number} || ', lot ' || ${bags.lotCode}`, n })
    .from(units)
    .innerJoin(bags, eq(bags.unitId, units.comesBackFrom))
    .where(cameBack)
    .groupBy(sql`1`);
  const judged = await db
    .select({
      outcome: sql<string | null>`coalesce(${verdicts.overrule} ->> '$.outcome', ${verdicts.outcome})`,
      version: ruleSets.version,
      n,
    })
    .from(units)
    .leftJoin(verdicts, eq(verdicts.id, firstsJudgement))
    .leftJoin(ruleSets, eq(verdicts.ruleSetId, ruleSets.id))
    .where(cameBack)
    .groupBy(sql`1`, sql`2`);
  const found = await db
    .select({
      // A statement on one table alone names its columns without it, so they are written out here.
      cause: sql<Cause>`(select f.name from findings f where f.unit_id = units.id and f.about = 'cause' and f.answer = 'yes' order by f.at desc limit 1)`,
      n,
    })
    .from(units)
    .where(cameBack)
    .groupBy(sql`1`);
  return { inAll: tagNos.length, newest: tagNos.slice(0, NAMED).map(tagOf), tallies: tallyComebacks({ kits, judged, found }) };
};

const firsts = alias(units, 'firsts');
const stampQuery = prepared((db: Reader) =>
  db
    .select({
      stamp: sql<string>`count(*) || ' ' || coalesce(max(${units.changedAt}), '') || ' ' || coalesce(max(${firsts.changedAt}), '')`,
    })
    .from(units)
    .innerJoin(firsts, eq(units.comesBackFrom, firsts.id))
    .where(cameBack)
    .prepare(),
);

/** What came back, read again once one of those units or of their first lives has changed. */
const cachedComebacks = cachedBy<Reader, Comebacks>(async (db) => (await stampQuery(db).execute())[0]?.stamp ?? '', readComebacks);
export const comebacks = (db: Reader): Promise<Comebacks> => cachedComebacks(db, '');
