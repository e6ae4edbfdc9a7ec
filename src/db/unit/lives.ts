import { desc, eq, isNotNull, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { UnitKind } from '@/core/family/family-name';
import { fail, ok, type Result } from '@/core/result';
import type { SaveError } from '@/core/unit/save-error';
import { tagNumber, tagOf, type Unit, type UnitRecord } from '@/core/unit/unit-record';
import type { Db, Reader } from '../engine/connection';
import { keptBy } from '../engine/kept';
import { unitOfTag } from '../engine/kept-units';
import { loadUnit } from '../engine/load-unit';
import { prepared } from '../engine/prepared';
import { ruleSets, units, verdicts } from '../tables';

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

export type Comeback = { readonly first: UnitRecord; readonly second: UnitRecord; readonly rules: string };

/** Those that count at most, the newest. */
const MOST = 200;

const readComebacks = async (db: Reader): Promise<readonly Comeback[]> => {
  const rows = await db
    .select({ id: units.id, first: units.comesBackFrom })
    .from(units)
    .where(isNotNull(units.comesBackFrom))
    .orderBy(desc(units.createdAt))
    .limit(MOST);
  const pairs = await Promise.all(
    rows.map(async (row) => {
      const [first, second] = [await loadUnit(db, row.first ?? ''), await loadUnit(db, row.id)];
      if (first === undefined || second === undefined) return [];
      const [rules] = await db
        .select({ version: ruleSets.version })
        .from(verdicts)
        .innerJoin(ruleSets, eq(verdicts.ruleSetId, ruleSets.id))
        .where(eq(verdicts.id, first.verdicts.at(-1)?.id ?? ''));
      return [{ first, second, rules: rules === undefined ? 'not judged' : `version ${rules.version}` }];
    }),
  );
  return pairs.flat();
};

const firsts = alias(units, 'firsts');
const stampQuery = prepared((db: Reader) =>
  db
    .select({
      stamp: sql<string>`count(*) || ' ' || coalesce(max(${units.changedAt}), '') || ' ' || coalesce(max(${firsts.changedAt}), '')`,
    })
    .from(units)
    .innerJoin(firsts, eq(units.comesBackFrom, firsts.id))
    .prepare(),
);

/** Every unit that came back, with its first life and the rules that was judged under, the newest first; read again once one of them has changed. */
const keptComebacks = keptBy<Reader, readonly Comeback[]>(async (db) => (await stampQuery(db).execute())[0]?.stamp ?? '', readComebacks);
export const comebacks = (db: Reader): Promise<readonly Comeback[]> => keptComebacks(db, '');
