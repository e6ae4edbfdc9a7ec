import type { Metadata } from 'next';
import { theDb } from '@/db/connection';
import { howManyLeft, leftSince } from '@/db/rack';
import { UnitList } from '@/ui/rack/unit-list';

export const metadata: Metadata = { title: 'Book' };
const YEAR_MS = 365 * 24 * 3_600_000;

export default async function BookPage() {
  const db = await theDb();
  const now = Date.now();
  const [left, all] = [await leftSince(db, now - YEAR_MS), await howManyLeft(db)];
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Book</h1>
      <p className="mb-3 text-ink2">
        {all} {all === 1 ? 'unit has' : 'units have'} left the shop; those of the last year, the newest first.
      </p>
      <UnitList units={left} now={now} empty="Every unit that has left stands here with its whole history. None has yet." />
    </div>
  );
}
