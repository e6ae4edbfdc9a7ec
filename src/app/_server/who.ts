import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { Person } from '@/core/people/role';
import { shopDb } from '@/db/engine/connection';
import { whoIs } from '@/db/people/people';

/** Who holds this request's session; asked once a request. */
export const currentPerson = cache(async (): Promise<Person | undefined> => {
  const sent = await headers();
  const person = await whoIs(await shopDb(), sent);
  if (person !== undefined) globalThis.eddrinAsked?.set(String(sent.get('x-request-id')), person.id);
  return person;
});

declare global {
  // Who asked, by a request's number, until it is answered: `scripts/serve.mjs` makes it, and writes it to the log.
  var eddrinAsked: Map<string, string> | undefined;
}

/** For pages: the person, or off to the sign-in page, which leads back to where one wanted to go. */
export async function personOrSignIn(): Promise<Person> {
  const person = await currentPerson();
  if (person !== undefined) return person;
  const to = ownPath((await headers()).get('x-path') ?? '/');
  return redirect(to === '/' ? '/sign-in' : `/sign-in?${new URLSearchParams({ to })}`);
}

/** A page of ours by its path; anything else is the rack. */
export const ownPath = (path: string): string => {
  if (!/^\/(?![/\\])/.test(path) || path.length > 500) return '/';
  const { pathname, searchParams } = new URL(path, 'http://here');
  searchParams.delete('_rsc');
  // Dots in a path are taken out of it, and may leave two strokes at its start: that would be another host.
  return `${pathname.replace(/^\/+/, '/')}${searchParams.size === 0 ? '' : `?${searchParams}`}`;
};
