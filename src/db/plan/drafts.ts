import { desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { type Draft, type NewDraft, Supposed } from '@/core/plan/what-if';
import { stored } from '@/core/schema/stored';
import type { Db, Reader } from '../engine/connection';
import { drafts, people } from '../tables';

const Kept = stored(z.array(Supposed)).catch([]);
/** Drafts that a page shows; older ones go when newer come. */
const MOST = 40;

export const draftsOf = async (db: Reader): Promise<readonly Draft[]> => {
  const rows = await db
    .select({ id: drafts.id, name: drafts.name, supposed: drafts.supposed, by: people.name, at: drafts.at })
    .from(drafts)
    .innerJoin(people, eq(people.id, drafts.personId))
    .orderBy(desc(drafts.at))
    .limit(MOST);
  return rows.map((d) => ({ ...d, supposed: Kept.parse(d.supposed) }));
};

export const keepDraft = async (
  db: Db,
  by: { readonly id: string; readonly personId: string; readonly at: number },
  draft: NewDraft,
): Promise<void> => {
  await db
    .insert(drafts)
    .values({ ...draft, ...by })
    .onConflictDoNothing();
};
export const dropDraft = async (db: Db, id: string): Promise<void> => {
  await db.delete(drafts).where(eq(drafts.id, id));
};
