import { and, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { JudgeInput } from '@/core/judge/judge';
import { type Askable, askables } from '@/core/practice/case';
import { CaseSchema, type CaseToMake } from '@/core/practice/case-schema';
import { type Answer, isRight } from '@/core/practice/exercise';
import type { ShopCase } from '@/core/practice/shop-case';
import { ok, type Result } from '@/core/result';
import { stored } from '@/core/schema/stored';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type ChangeError, refused } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { loadUnit } from '../engine/load-unit';
import { runOf } from '../prove/prove';
import { caseTries, people, practiceCases, verdicts } from '../tables';

const Kept = stored(CaseSchema);
const PhotoIds = z.array(z.string());
/** Cases that are listed at once. */
const MOST = 200;

/** What of a unit can be asked, by what was judged, found and measured. */
export const askablesOf = async (db: Reader, record: UnitRecord): Promise<readonly Askable[]> => {
  const inputs = await db.select({ id: verdicts.id, input: verdicts.input }).from(verdicts).where(eq(verdicts.unitId, record.unit.id));
  const judged = record.verdicts.flatMap((v) => {
    const own = inputs.find((i) => i.id === v.id);
    return own === undefined ? [] : [{ id: v.id, pot: v.pot, input: own.input as JudgeInput, answer: v.answer }];
  });
  const runs = [];
  for (const run of record.runs) {
    const measured = run.outcome === null ? undefined : await runOf(db, run.id);
    if (measured !== undefined) runs.push({ ...run, samples: measured.samples });
  }
  return askables(record, judged, runs);
};

type By = { readonly personId: string; readonly at: number };

/** Makes a case of a unit that left; the same one sent twice is made once. What is asked is made here, of the record. */
export const makeCase = async (db: Db, by: By, c: CaseToMake): Promise<Result<null, ChangeError>> => {
  const record = await loadUnit(db, c.unitId);
  if (record === undefined) return refused('There is no such unit.');
  if (record.unit.exit === null) return refused('It has not left the shop yet: its answer is not known.');
  const found = (await askablesOf(db, record)).find((a) => a.of === c.of);
  if (found === undefined) return refused('There is nothing of that kind on its record.');
  if (c.photoIds.some((id) => !record.photos.some((p) => p.id === id))) return refused('One of these photos is not this unit’s.');
  await db
    .insert(practiceCases)
    .values({ id: c.id, at: by.at, byId: by.personId, asked: found.asked, photoIds: c.photoIds, words: c.words, endedAt: null })
    .onConflictDoNothing();
  return ok(null);
};

/** Takes a case away; what was answered stays. */
export const endCase = async (db: Db, at: number, id: string): Promise<Result<null, ChangeError>> => {
  const done = await db
    .update(practiceCases)
    .set({ endedAt: at })
    .where(and(eq(practiceCases.id, id), isNull(practiceCases.endedAt)));
  return done.rowsAffected === 0 ? refused('There is no such case, or it was taken away already.') : ok(null);
};

/** The shop’s own cases, the newest first, with how often somebody answered them. */
export const casesNow = async (db: Reader, personId: string): Promise<{ readonly cases: readonly ShopCase[]; readonly all: number }> => {
  const isOpen = isNull(practiceCases.endedAt);
  const [rows, [counted]] = await Promise.all([
    db
      .select({ of: practiceCases, by: people.name })
      .from(practiceCases)
      .innerJoin(people, eq(practiceCases.byId, people.id))
      .where(isOpen)
      .orderBy(desc(practiceCases.at))
      .limit(MOST),
    db.select({ n: sql<number>`count(*)` }).from(practiceCases).where(isOpen),
  ]);
  const ids = rows.map((r) => r.of.id);
  const tries =
    ids.length === 0
      ? []
      : await db
          .select({ caseId: caseTries.caseId, tried: sql<number>`count(*)`, right: sql<number>`sum(${caseTries.right})` })
          .from(caseTries)
          .where(and(eq(caseTries.personId, personId), inArray(caseTries.caseId, ids)))
          .groupBy(caseTries.caseId);
  const cases = rows.flatMap(({ of: c, by }): readonly ShopCase[] => {
    const asked = Kept.safeParse(c.asked);
    const own = tries.find((t) => t.caseId === c.id);
    if (!asked.success) return [];
    const photoIds = PhotoIds.safeParse(c.photoIds).data ?? [];
    return [{ id: c.id, asked: asked.data, photoIds, words: c.words, by, at: c.at, tried: own?.tried ?? 0, right: own?.right ?? 0 }];
  });
  return { cases, all: counted?.n ?? 0 };
};

/** Judges an answer to a case by the record’s. */
export const answerCase = async (
  db: Db,
  by: By,
  { id, caseId, answer }: { readonly id: string; readonly caseId: string; readonly answer: Answer },
): Promise<Result<{ readonly right: boolean }, ChangeError>> => {
  const [row] = await db.select().from(practiceCases).where(eq(practiceCases.id, caseId));
  const asked = Kept.safeParse(row?.asked);
  if (row === undefined || !asked.success) return refused('There is no such case.');
  const right = isRight(asked.data, answer);
  await db.insert(caseTries).values({ id, caseId, personId: by.personId, at: by.at, right }).onConflictDoNothing();
  return ok({ right });
};
