import type { Metadata } from 'next';
import { LEVELS } from '@/core/practice/exercise';
import { PRACTICE_KIND_NAMES } from '@/core/practice/kinds';
import { nextOf } from '@/core/practice/path';
import { theDb } from '@/db/engine/connection';
import { pathsOf, sitsOf } from '@/db/practice/practice';
import { Practice } from '@/ui/practice/practice';
import { personOrSignIn } from '../../_server/who';

export const metadata: Metadata = { title: 'Practice' };

/** Exercises on drawn units: ten minutes a day, by what sits least. */
export default async function PracticePage({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly kind?: string; readonly level?: string }>;
}) {
  const [person, db, asked] = await Promise.all([personOrSignIn(), theDb(), searchParams]);
  const [sits, paths] = await Promise.all([sitsOf(db, person.id), pathsOf(db, person.id)]);
  const next = nextOf({ sits, paths }, null, Date.now());
  const kind = PRACTICE_KIND_NAMES.find((k) => k === asked.kind);
  const level = LEVELS.find((l) => String(l) === asked.level);
  const first = kind === undefined ? next : { kind, level: level ?? 1, family: null };
  const seed = Math.floor(Math.random() * 2_147_483_647);
  return (
    <>
      <h1 className="mb-3 text-xl font-bold">Practice</h1>
      <Practice key={`${asked.kind} ${asked.level}`} first={{ ...first, seed }} sits={sits} paths={paths} />
    </>
  );
}
