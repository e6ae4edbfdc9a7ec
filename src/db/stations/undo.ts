import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Person } from '@/core/people/role';
import { ok, type Result } from '@/core/result';
import { EVENT_KINDS, type EventKind, NOT_UNDOABLE } from '@/core/unit/event-kind';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../change-unit';
import type { Db, Reader } from '../connection';
import { type Edit, EventPayload } from '../event-payload';
import { onHand } from '../load-unit';
import { unitEvents } from '../tables';

export type Undoable = { readonly eventId: string; readonly kind: EventKind; readonly at: number };

/** The unit's last step, if this person made it and it can be taken back. */
export async function undoable(db: Reader, unitId: string, person: Person): Promise<Undoable | undefined> {
  const rows = await db
    .select({ eventId: unitEvents.id, kind: unitEvents.kind, at: unitEvents.at, personId: unitEvents.personId })
    .from(unitEvents)
    .where(and(eq(unitEvents.unitId, unitId), isNull(unitEvents.undoneBy)))
    .orderBy(desc(unitEvents.version))
    .limit(20);
  const last = rows.find((r) => r.kind !== 'undone');
  if (last === undefined || last.personId !== person.id || !(last.kind in EVENT_KINDS)) return undefined;
  const kind = last.kind as EventKind;
  return NOT_UNDOABLE.includes(kind) ? undefined : { eventId: last.eventId, kind, at: last.at };
}

/** Takes the person's last step back: every row it changed becomes what it was. The event stays, marked. */
export const undoLast = (db: Db, change: Change): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, _, tx) => {
    const last = await undoable(tx, record.unit.id, change.person);
    if (last === undefined) return refused('The last step is not yours to undo; ask a lead to reopen the station.');
    const [event] = await tx.select().from(unitEvents).where(eq(unitEvents.id, last.eventId));
    const { changes } = EventPayload.parse(event?.payload);
    for (const c of changes) {
      if (c.table !== 'stockMoves' || c.before === null || c.after !== null) continue;
      if ((await onHand(tx, c.before.kitId)) + c.before.qty < 0)
        return refused('That kit went to another unit meanwhile: none is left to take back.');
    }
    await tx.update(unitEvents).set({ undoneBy: change.eventId }).where(eq(unitEvents.id, last.eventId));
    return ok(changes.map((c): Edit => (c.before === null ? { table: c.table, drop: c.id } : ({ table: c.table, put: c.before } as Edit))));
  });
