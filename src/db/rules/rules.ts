import { and, desc, eq, isNull, or, sql } from 'drizzle-orm';
import type { JudgeInput } from '@/core/judge/judge';
import type { JudgedCase } from '@/core/judge/judged-otherwise';
import type { Person } from '@/core/people/role';
import type { Rules } from '@/core/rules/rule-set';
import { type RuleSet, RuleSetRow } from '@/core/rules/rule-set-row';
import type { Schools } from '@/core/rules/schools';
import type { Db, Reader } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { people, ruleSets, units, verdicts } from '../tables';

const newestRules = prepared((db: Reader) => db.select().from(ruleSets).orderBy(desc(ruleSets.version)).limit(1).prepare());

/** The shop's newest rule set. */
export const rulesInForce = async (db: Reader): Promise<RuleSet> => {
  const [row] = await newestRules(db).execute();
  return RuleSetRow.parse(row);
};

/** A version of the rules, told: who made it when, and why. */
export type RuleVersion = { readonly version: number; readonly at: number; readonly by: string | null; readonly note: string };

/** All versions, the newest first. */
export const ruleVersions = (db: Reader): Promise<readonly RuleVersion[]> =>
  db
    .select({ version: ruleSets.version, at: ruleSets.at, by: people.name, note: ruleSets.note })
    .from(ruleSets)
    .leftJoin(people, eq(ruleSets.personId, people.id))
    .orderBy(desc(ruleSets.version));

/** The version of the rules that a judgement was made under. */
export const rulesOf = async (db: Reader, verdictId: string): Promise<number | undefined> => {
  const rows = await db
    .select({ version: ruleSets.version })
    .from(verdicts)
    .innerJoin(ruleSets, eq(verdicts.ruleSetId, ruleSets.id))
    .where(eq(verdicts.id, verdictId));
  return rows[0]?.version;
};

/** Adds a version of the rules. @param set `after`: the version it was made from; another in between refuses it, with undefined */
export const saveRules = (
  db: Db,
  person: Person,
  at: number,
  set: { readonly after: number; readonly note: string; readonly rules: Rules; readonly schools: Schools },
): Promise<{ readonly version: number } | undefined> =>
  db.transaction(async (tx) => {
    const now = await rulesInForce(tx);
    if (now.version !== set.after) return undefined;
    const version = now.version + 1;
    await tx
      .insert(ruleSets)
      .values({ id: `rules-${version}`, version, at, personId: person.id, note: set.note, rules: set.rules, schools: set.schools });
    return { version };
  });

/** How many units that have left are looked at again. */
const PAST = 500;

/** The newest judgement of each bore: of all in the shop, and of the last that left. */
export async function judgedCases(db: Reader): Promise<readonly JudgedCase[]> {
  const newest = eq(
    verdicts.at,
    sql`(select max(v.at) from ${verdicts} v where v.unit_id = ${verdicts.unitId} and v.pot = ${verdicts.pot})`,
  );
  const rows = await db
    .select({ verdict: verdicts, tagNo: units.tagNo, exit: units.exit })
    .from(verdicts)
    .innerJoin(units, eq(verdicts.unitId, units.id))
    .where(and(newest, or(isNull(units.exit), sql`${units.exitAt} >= ${await exitOf(db, PAST)}`)))
    .orderBy(units.tagNo);
  return rows.map(({ verdict, ...unit }) => ({
    ...unit,
    pot: verdict.pot,
    input: verdict.input as JudgeInput,
    was: verdict.answer as JudgedCase['was'],
  }));
}

/** When the so-manieth last unit left; 0 when fewer did. */
const exitOf = async (db: Reader, nth: number): Promise<number> => {
  const [row] = await db
    .select({ at: units.exitAt })
    .from(units)
    .orderBy(desc(units.exitAt))
    .limit(1)
    .offset(nth - 1);
  return row?.at ?? 0;
};
