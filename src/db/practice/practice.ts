import { and, desc, eq, isNotNull, sql } from 'drizzle-orm';
import { type Card, createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { z } from 'zod';
import type { FamilyName } from '@/core/family/family-name';
import { type Answer, isRight, type Level } from '@/core/practice/exercise';
import { exerciseOf, PRACTICE_KIND_NAMES, type PracticeKind } from '@/core/practice/kinds';
import { type FamilyPath, familyPaths, levelAfter, type Sits, UP_AFTER } from '@/core/practice/path';
import type { Db, Reader } from '../engine/connection';
import { practiceCards, practiceTries } from '../tables';

/** What is sent of an answer. */
export type Answered = {
  readonly id: string;
  readonly kind: PracticeKind;
  readonly level: Level;
  readonly seed: number;
  readonly answer: Answer;
  readonly hints: number;
  readonly family: FamilyName | null;
};
const scheduler = fsrs();
/** A card as it lies in the database: its moments are text there. */
const Stored = z.looseObject({ due: z.coerce.date(), last_review: z.coerce.date().optional() });
const cardOf = (stored: unknown, at: number): Card => {
  const read = Stored.safeParse(stored);
  return read.success ? (read.data as unknown as Card) : createEmptyCard(new Date(at));
};

const levelOf = (level: number): Level => (level === 2 || level === 3 ? level : 1);
const isKind = (kind: string): kind is PracticeKind => (PRACTICE_KIND_NAMES as readonly string[]).includes(kind);

/** How each kind that somebody has met sits with them. */
export const sitsOf = async (db: Reader, personId: string): Promise<readonly Sits[]> => {
  const [cards, counts] = await Promise.all([
    db.select().from(practiceCards).where(eq(practiceCards.personId, personId)),
    db
      .select({ kind: practiceTries.kind, tried: sql<number>`count(*)`, right: sql<number>`sum(${practiceTries.right})` })
      .from(practiceTries)
      .where(eq(practiceTries.personId, personId))
      .groupBy(practiceTries.kind),
  ]);
  return cards.flatMap(({ kind, level, dueAt }) => {
    if (!isKind(kind)) return [];
    const own = counts.find((c) => c.kind === kind);
    return [{ kind, level: levelOf(level), dueAt, tried: own?.tried ?? 0, right: own?.right ?? 0 }];
  });
};

/** How far somebody is with each family. */
export const pathsOf = async (db: Reader, personId: string): Promise<readonly FamilyPath[]> => {
  const { kind, family, right, hints } = practiceTries;
  const tries = await db
    .select({ kind, family, right, hints })
    .from(practiceTries)
    .where(and(eq(practiceTries.personId, personId), isNotNull(family)))
    .orderBy(desc(practiceTries.at), desc(practiceTries.id));
  return familyPaths(tries);
};

/** Judges an answer by its exercise made again, and moves when its kind is met next: wrong comes back at once, a hint counts as hard. A try that came twice counts once. */
export const answerExercise = (
  db: Db,
  by: { readonly personId: string; readonly at: number },
  given: Answered,
): Promise<{ readonly right: boolean }> =>
  db.transaction(async (tx) => {
    const right = isRight(exerciseOf(given.kind, given.level, given.seed, given.family ?? undefined), given.answer);
    const { personId, at } = by;
    const { kind, level, seed, hints, family } = given;
    const added = await tx
      .insert(practiceTries)
      .values({ id: given.id, personId, kind, level, seed, at, right, hints, family })
      .onConflictDoNothing();
    if (added.rowsAffected === 0) return { right };
    const own = and(eq(practiceCards.personId, personId), eq(practiceCards.kind, kind));
    const [before] = await tx.select().from(practiceCards).where(own);
    const last = await tx
      .select({ right: practiceTries.right, hints: practiceTries.hints, level: practiceTries.level })
      .from(practiceTries)
      .where(and(eq(practiceTries.personId, personId), eq(practiceTries.kind, kind)))
      .orderBy(desc(practiceTries.at), desc(practiceTries.id))
      .limit(UP_AFTER);
    const alone = last.filter((t) => t.level === level).map((t) => t.right && t.hints === 0);
    const rating = !right ? Rating.Again : hints > 0 ? Rating.Hard : Rating.Good;
    const { card } = scheduler.next(cardOf(before?.card, at), new Date(at), rating);
    const row = { personId, kind, level: levelAfter(level, alone), dueAt: card.due.getTime(), card };
    await tx
      .insert(practiceCards)
      .values(row)
      .onConflictDoUpdate({ target: [practiceCards.personId, practiceCards.kind], set: row });
    return { right };
  });
