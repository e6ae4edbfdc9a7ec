import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { theDb } from '@/db/engine/connection';
import { tokenOf } from '@/db/people/people';
import { openSessions } from '@/db/people/sessions';
import { OwnSessions } from '@/ui/shop/own-sessions';
import { personOrSignIn } from '../../_server/who';

export const metadata: Metadata = { title: 'Where you are signed in' };

export default async function YouPage() {
  const person = await personOrSignIn();
  const now = Date.now();
  const sessions = await openSessions(await theDb(), person.id, await tokenOf(await headers()), now);
  return (
    <div className="max-w-3xl px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">Where you are signed in, {person.name}</h1>
      <OwnSessions sessions={sessions} now={now} />
    </div>
  );
}
