import { eq } from 'drizzle-orm';
import { ok, type Result } from '@/core/result';
import { undoable } from '@/core/unit/history';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { type Edit, EventPayload } from '../engine/event-payload';
import { onShelf } from '../store/stock';
import { unitEvents } from '../tables';
import { historyOf } from './history';

/** Takes the person's last step back: every row it changed becomes what it was. The event stays, marked. */
export const undoLast = (db: Db, change: Change): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, _, tx) => {
    const last = undoable(await historyOf(tx, record.unit.id, 20), change.person);
    if (last === undefined) return refused('The last step is not yours to undo; ask a lead to reopen the station.');
    const [event] = await tx.select().from(unitEvents).where(eq(unitEvents.id, last.id));
    const { changes } = EventPayload.parse(event?.payload);
    for (const c of changes) {
      if (c.table !== 'stockMoves') continue;
      // What comes back to the unit leaves the shelf again, and what was put on the shelf goes from it.
      const [lotId, less] = c.before === null ? [c.after?.lotId, c.after?.qty ?? 0] : [c.before.lotId, -c.before.qty];
      if (lotId !== undefined && (await onShelf(tx, lotId)) - less < 0)
        return refused('That kit went to another unit meanwhile: none is left to take back.');
    }
    await tx.update(unitEvents).set({ undoneBy: change.eventId }).where(eq(unitEvents.id, last.id));
    return ok(changes.map((c): Edit => (c.before === null ? { table: c.table, drop: c.id } : ({ table: c.table, put: c.before } as Edit))));
  });
