import type { Metadata } from 'next';
import { nextKind } from '@/core/practice/path';
import { theDb } from '@/db/engine/connection';
import { sitsOf } from '@/db/practice/practice';
import { Practice } from '@/ui/practice/practice';
import { personOrSignIn } from '../../_server/who';

export const metadata: Metadata = { title: 'Practice' };

/** Exercises on drawn units: ten minutes a day, by what sits least. */
export default async function PracticePage() {
  const person = await personOrSignIn();
  const now = Date.now();
  const sits = await sitsOf(await theDb(), person.id);
  const kind = nextKind(sits, now);
  const seed = Math.floor(Math.random() * 2_147_483_647);
  return (
    <div className="max-w-5xl px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">Practice</h1>
      <Practice first={{ kind, level: sits.find((s) => s.kind === kind)?.level ?? 1, seed }} sits={sits} />
    </div>
  );
}
