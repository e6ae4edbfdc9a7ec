'use server';

import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { sayUntil } from '@/core/quantity/say-time';
import { ok } from '@/core/result';
import { Id } from '@/core/schema/target';
import { theDb } from '@/db/engine/connection';
import { signIn as signInPerson, signOut as signOutPerson } from '@/db/people/people';
import { newCalendarKey } from '@/db/unit/calendar';
import { act } from '../_server/act';

const SignIn = z.object({ personId: Id, pin: z.string().min(1).max(64) });

/** Signs in by name and PIN; the only way in. */
export async function signInAction(input: unknown): Promise<{ readonly error: string }> {
  const parsed = SignIn.safeParse(input);
  if (!parsed.success) return { error: 'Pick your name and enter your PIN.' };
  const now = Date.now();
  const result = await signInPerson(await theDb(), parsed.data.personId, parsed.data.pin, await headers(), now);
  if (result.ok) redirect('/');
  return {
    error: result.error.code === 'locked' ? `Too many wrong PINs. Locked ${sayUntil(result.error.until, now)}.` : 'That is not the PIN.',
  };
}

export async function signOutAction(): Promise<void> {
  await signOutPerson(await headers());
  redirect('/sign-in');
}

/** Gives the person a calendar address of their own; an earlier one stops working. */
export const calendarKeyAction = act('see', z.object({}), async (_, { db, person, now }) =>
  ok({ key: await newCalendarKey(db, person.id, now) }),
);
