'use server';

import { AnswerCase, EndCase, MakeCase } from '@/core/practice/case-schema';
import { kindsOf } from '@/core/practice/kinds';
import { nextOf } from '@/core/practice/path';
import { AnswerExercise } from '@/core/practice/practice-schemas';
import { EndSkill, SaveAsks, SignSkill, StandBy } from '@/core/practice/skill-schemas';
import { fail, ok } from '@/core/result';
import { STATION_WORDS } from '@/core/station';
import { checkPin, sayPinError } from '@/db/people/people';
import { answerCase, endCase, makeCase } from '@/db/practice/cases';
import { answerExercise, pathsOf, sitsOf } from '@/db/practice/practice';
import { endSkill, saveAsks, signSkill, standBy } from '@/db/practice/skills';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

/** An answer, judged where nobody can see the right one first; and what is met next. */
export const answerExerciseAction = act('see', AnswerExercise, async (given, { db, person, now }) => {
  if (given.family !== null && !kindsOf(given.family).includes(given.kind))
    return fail({ code: 'refused', reasons: ['That is not asked of this family.'] });
  const { right } = await answerExercise(db, { personId: person.id, at: now }, given);
  const [sits, paths] = await Promise.all([sitsOf(db, person.id), pathsOf(db, person.id)]);
  return ok({ right, next: nextOf({ sits, paths }, given.family, now), sits, paths });
});

/** What a station asks before somebody is signed off for it. */
export const saveAsksAction = act('teach', SaveAsks, async ({ station, ...asks }, { db, person, now }) => {
  await saveAsks(db, { personId: person.id, at: now }, station, asks);
  return ok(null);
});

export const signSkillAction = act('teach', SignSkill, (skill, { db, person, now }) =>
  signSkill(db, { personId: person.id, at: now }, skill),
);

export const endSkillAction = act('teach', EndSkill, ({ id }, { db, person, now }) => endSkill(db, { personId: person.id, at: now }, id));

/** Whoever has the skill works along, and says so by their own PIN. */
export const standByAction = act('kit', StandBy, async (i, { db, person, now }) => {
  const helper = await checkPin(db, i.withId, i.pin, now, { kind: 'signed-in', personId: person.id });
  if (!helper.ok) return fail({ code: 'refused', reasons: [sayPinError(helper.error, now)] });
  const { value } = helper;
  return standBy(db, changeOf(i, person, now, 'stood-by', `${value.name} at ${STATION_WORDS[i.station]}`), i.station, value);
});

/** Makes a case of the shop’s own of a unit that left. */
export const makeCaseAction = act('teach', MakeCase, (c, { db, person, now }) => makeCase(db, { personId: person.id, at: now }, c));

export const endCaseAction = act('teach', EndCase, ({ id }, { db, now }) => endCase(db, now, id));

export const answerCaseAction = act('see', AnswerCase, (given, { db, person, now }) =>
  answerCase(db, { personId: person.id, at: now }, given),
);
