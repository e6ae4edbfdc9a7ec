import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Person } from '@/core/people/role';
import type { Db, Reader } from '../engine/connection';
import { type AtBranch, isAt } from '../rack/at-branch';
import { people, rigQueue, units } from '../tables';

/** A unit that waits for the rig, who put it there, and when. */
export type Queued = { readonly unitId: string; readonly tagNo: number; readonly by: string; readonly at: number };

const queued = (db: Reader, at: AtBranch | undefined) =>
  db
    .select({ unitId: rigQueue.unitId, tagNo: units.tagNo, by: people.name, at: rigQueue.at, station: units.station })
    .from(rigQueue)
    .innerJoin(units, eq(rigQueue.unitId, units.id))
    .innerJoin(people, eq(rigQueue.personId, people.id))
    .where(and(isNull(units.exit), isNull(units.goesTo), at && isAt(units.branch, at)))
    .orderBy(asc(rigQueue.at));

/** Units that wait for the rig of a branch, the next first; those that have left the shop or stand elsewhere wait no more. @param at absent: a shop of one place */
export const rigQueued = async (db: Reader, at?: AtBranch): Promise<readonly Queued[]> => {
  const rows = await queued(db, at);
  return rows.filter((r) => r.station === 'prove').map(({ station: _, ...queued }) => queued);
};

/** Puts a unit behind those that wait; one that waits already keeps its place. */
export const queueForRig = (db: Db, person: Person, unitId: string, at: number) =>
  db.insert(rigQueue).values({ unitId, personId: person.id, at }).onConflictDoNothing();

export const leaveRigQueue = (db: Pick<Db, 'delete'>, unitId: string) => db.delete(rigQueue).where(eq(rigQueue.unitId, unitId));
