'use server';

import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { ChoosePin } from '@/core/people/member-schemas';
import { sayUntil } from '@/core/quantity/say-time';
import { fail, ok, type Result } from '@/core/result';
import { problemsOf, sayFault } from '@/core/schema/problems';
import type { Sends } from '@/core/schema/sends';
import { Id } from '@/core/schema/target';
import type { SaveError } from '@/core/unit/save-error';
import { shopDb } from '@/db/engine/connection';
import { choosePin, type PinError, signIn as signInPerson, signOut as signOutPerson } from '@/db/people/people';
import { newCalendarKey } from '@/db/unit/calendar';
import { act } from '../_server/act';
import { ownPath } from '../_server/who';

const SignIn = z.object({ personId: Id, pin: z.string().min(1).max(64), to: z.string().max(600).default('/') });

/** Signs in by name and PIN; the only way in. */
export async function signInAction(input: unknown): Promise<{ readonly error: string }> {
  const parsed = SignIn.safeParse(input);
  if (!parsed.success) return { error: 'Pick your name and enter your PIN.' };
  const now = Date.now();
  const result = await signInPerson(await shopDb(), parsed.data.personId, parsed.data.pin, await headers(), now);
  if (result.ok) redirect(ownPath(parsed.data.to));
  return { error: sayPinError(result.error, 'That is not the PIN.', now) };
}

const sayPinError = (e: PinError, wrong: string, now: number): string =>
  e.code === 'locked' ? `Too many wrong tries. Locked ${sayUntil(e.until, now)}.` : wrong;

/** Lets somebody choose a PIN by their one-time code, and signs them in. */
export async function choosePinAction(input: Sends<typeof ChoosePin>): Promise<Result<null, SaveError>> {
  const parsed = ChoosePin.safeParse(input, { error: sayFault });
  if (!parsed.success) return fail({ code: 'invalid', problems: problemsOf(parsed.error) });
  const now = Date.now();
  const chosen = await choosePin(await shopDb(), parsed.data, await headers(), now);
  if (chosen.ok) return ok(null);
  const { error } = chosen;
  return fail(
    error.code === 'weak'
      ? { code: 'invalid', problems: [{ path: 'pin', message: error.why }] }
      : {
          code: 'refused',
          reasons: [sayPinError(error, 'That is not this person’s code, or it was used or is too old. Ask the owner for a new one.', now)],
        },
  );
}

export async function signOutAction(): Promise<void> {
  await signOutPerson(await headers());
  redirect('/sign-in');
}

/** Gives the person a calendar address of their own; an earlier one stops working. */
export const calendarKeyAction = act('see', z.object({}), async (_, { db, person, now }) =>
  ok({ key: await newCalendarKey(db, person.id, now) }),
);
