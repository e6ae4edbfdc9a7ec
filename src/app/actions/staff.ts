'use server';

import { AddMember, ChangeMember, EndSession, MemberId } from '@/core/people/member-schemas';
import { sayCode } from '@/core/people/one-time-code';
import { fail, ok, type Result } from '@/core/result';
import type { SaveError } from '@/core/unit/save-error';
import { endSession, endSessions } from '@/db/people/sessions';
import { addMember, changeMember, giveCode, noteLeft, type StaffError, sayStaffError, takeBack } from '@/db/people/staff';
import { act } from '../_server/act';

const told = <T>(result: Result<T, StaffError>): Result<T, SaveError> =>
  result.ok ? result : fail({ code: 'refused', reasons: [sayStaffError(result.error)] });
/** A code as it is read out, once. */
const withCode = (result: Result<{ readonly code: string }, StaffError>) =>
  told(result.ok ? ok({ code: sayCode(result.value.code) }) : result);

/** Adds a person, who chooses a PIN by the code that this gives. */
export const addMemberAction = act('shop', AddMember, async (p, { db, person, now }) =>
  withCode(await addMember(db, { personId: person.id, at: now }, p)),
);

export const changeMemberAction = act('shop', ChangeMember, async (p, { db, person, now }) => {
  const changed = await changeMember(db, { personId: person.id, at: now }, p);
  return told(changed.ok ? ok({ code: changed.value.code === null ? null : sayCode(changed.value.code) }) : changed);
});

/** Takes a PIN away and gives a code for a new one. */
export const giveCodeAction = act('shop', MemberId, async ({ id }, { db, person, now }) =>
  withCode(await giveCode(db, { personId: person.id, at: now }, id)),
);

export const noteLeftAction = act('shop', MemberId, async ({ id }, { db, person, now }) =>
  told(await noteLeft(db, { personId: person.id, at: now }, id)),
);

export const takeBackAction = act('shop', MemberId, async ({ id }, { db, person, now }) =>
  withCode(await takeBack(db, { personId: person.id, at: now }, id)),
);

/** Ends all of a person's sessions, at every bench. */
export const endSessionsAction = act('shop', MemberId, async ({ id }, { db, person, now }) => {
  await endSessions(db, { personId: person.id, at: now }, id);
  return ok(null);
});

/** Ends one of one's own sessions: at a bench that one has walked away from. */
export const endOwnSessionAction = act('see', EndSession.pick({ sessionId: true }), async ({ sessionId }, { db, person }) => {
  await endSession(db, person.id, sessionId);
  return ok(null);
});
