import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { Person } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { whoIs } from '@/db/people/people';

/** Who holds this request's session; asked once a request. */
export const currentPerson = cache(async (): Promise<Person | undefined> => whoIs(await theDb(), await headers()));

/** For pages: the person, or off to the sign-in page. */
export async function personOrSignIn(): Promise<Person> {
  return (await currentPerson()) ?? redirect('/sign-in');
}
