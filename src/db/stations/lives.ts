import { and, desc, eq, isNotNull } from 'drizzle-orm';
import type { UnitKind } from '@/core/family/family-name';
import { fail, ok, type Result } from '@/core/result';
import { tagNumber, tagOf, type Unit, type UnitRecord } from '@/core/unit/unit-record';
import type { SaveError } from '@/core/wire/save-error';
import type { Db, Reader } from '../connection';
import { unitOfTag } from '../kept-units';
import { loadUnit } from '../load-unit';
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
  const [before] =
    unit.comesBackFrom === null ? [] : await db.select({ tagNo: units.tagNo }).from(units).where(eq(units.id, unit.comesBackFrom));
  const after = await db.select({ tagNo: units.tagNo }).from(units).where(eq(units.comesBackFrom, unit.id)).orderBy(units.tagNo);
  return { before: before === undefined ? null : tagOf(before), after: after.map(tagOf) };
}

export type Comeback = { readonly first: UnitRecord; readonly second: UnitRecord; readonly rules: string };

/** Every unit that came back, with its first life and the rules that was judged under, the newest first. @param most how many at most */
export async function comebacks(db: Db, most = 200): Promise<readonly Comeback[]> {
  const rows = await db
    .select({ id: units.id, first: units.comesBackFrom })
    .from(units)
    .where(isNotNull(units.comesBackFrom))
    .orderBy(desc(units.createdAt))
    .limit(most);
  const pairs = await Promise.all(
    rows.map(async (row) => {
      const [first, second] = [await loadUnit(db, row.first ?? ''), await loadUnit(db, row.id)];
      if (first === undefined || second === undefined) return [];
      const judged = first.verdicts.at(-1)?.id ?? '';
      const [rules] = await db
        .select({ version: ruleSets.version })
        .from(verdicts)
        .innerJoin(ruleSets, eq(verdicts.ruleSetId, ruleSets.id))
        .where(and(eq(verdicts.id, judged)));
      return [{ first, second, rules: rules === undefined ? 'not judged' : `version ${rules.version}` }];
    }),
  );
  return pairs.flat();
}
