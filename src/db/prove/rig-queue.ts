import { asc, eq, isNull } from 'drizzle-orm';
import type { Person } from '@/core/people/role';
import type { Db, Reader } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { people, rigQueue, units } from '../tables';

/** A unit that waits for the rig, who put it there, and when. */
export type Queued = { readonly unitId: string; readonly tagNo: number; readonly by: string; readonly at: number };

const queuedQuery = prepared((db: Reader) =>
  db
    .select({ unitId: rigQueue.unitId, tagNo: units.tagNo, by: people.name, at: rigQueue.at, station: units.station })
    .from(rigQueue)
    .innerJoin(units, eq(rigQueue.unitId, units.id))
    .innerJoin(people, eq(rigQueue.personId, people.id))
    .where(isNull(units.exit))
    .orderBy(asc(rigQueue.at))
    .prepare(),
);

/** Units that wait for the rig, the next first; those that have left the shop or stand elsewhere wait no more. */
export const rigQueued = async (db: Reader): Promise<readonly Queued[]> => {
  const rows = await queuedQuery(db).execute();
  return rows.filter((r) => r.station === 'prove').map(({ station: _, ...queued }) => queued);
};

/** Puts a unit behind those that wait; one that waits already keeps its place. */
export const queueForRig = (db: Db, person: Person, unitId: string, at: number) =>
  db.insert(rigQueue).values({ unitId, personId: person.id, at }).onConflictDoNothing();

export const leaveRigQueue = (db: Pick<Db, 'delete'>, unitId: string) => db.delete(rigQueue).where(eq(rigQueue.unitId, unitId));
