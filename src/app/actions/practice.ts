'use server';

import { nextKind } from '@/core/practice/path';
import { AnswerExercise } from '@/core/practice/practice-schemas';
import { ok } from '@/core/result';
import { answerExercise, sitsOf } from '@/db/practice/practice';
import { act } from '../_server/act';

/** An answer, judged where nobody can see the right one first; and what is met next. */
export const answerExerciseAction = act('see', AnswerExercise, async (given, { db, person, now }) => {
  const { right } = await answerExercise(db, { personId: person.id, at: now }, given);
  const sits = await sitsOf(db, person.id);
  const kind = nextKind(sits, now);
  return ok({ right, next: { kind, level: sits.find((s) => s.kind === kind)?.level ?? 1 }, sits });
});
