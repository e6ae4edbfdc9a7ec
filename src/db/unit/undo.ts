import { eq } from 'drizzle-orm';
import { ok, type Result } from '@/core/result';
import { undoable } from '@/core/unit/history';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Tx } from '../engine/connection';
import { drop, type Edit, put } from '../engine/edit';
import { changesIn, type RowChange, rowAsItWas } from '../engine/event-payload';
import { rowsById } from '../engine/rows-by-id';
import type { Row, TrackedName } from '../records/registry';
import { onShelf } from '../store/stock';
import { unitEvents } from '../tables';
import { historyOf } from './history';

/** Takes the person's last step back: every row it changed becomes what it was. The event stays, marked. */
export const undoLast = (db: Db, change: Change): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, _, tx) => {
    const last = undoable(await historyOf(tx, record.unit.id, 20), change.person);
    if (last === undefined) return refused('The last step is not yours to undo; ask a lead to reopen the station.');
    const [event] = await tx.select().from(unitEvents).where(eq(unitEvents.id, last.id));
    const changes = changesIn(event?.payload);
    const now = await rowsNow(tx, changes);
    const back = changes.map((c): Edit => {
      if (c.how === 'added') return drop(c.table, c.id);
      return put(c.table, rowAsItWas(c.table, c.was, now.get(keyOf(c.table, c.id))));
    });
    for (const edit of back) {
      if (edit.table !== 'stockMoves') continue;
      // What comes back to the unit leaves the shelf again, and what was put on the shelf goes from it.
      const move = ('put' in edit ? edit.put : now.get(keyOf(edit.table, edit.drop))) as Row<'stockMoves'> | undefined;
      const less = move === undefined ? 0 : 'put' in edit ? -move.qty : move.qty;
      if (move !== undefined && (await onShelf(tx, move.lotId)) - less < 0)
        return refused('That kit went to another unit meanwhile: none is left to take back.');
    }
    await tx.update(unitEvents).set({ undoneBy: change.eventId }).where(eq(unitEvents.id, last.id));
    return ok(back);
  });

/** Rows of different tables may have one id: a bag and its move. */
const keyOf = (table: TrackedName, id: string): string => `${table} ${id}`;

/** The rows that changes were made to, as they are now, by table and id. */
const rowsNow = async (tx: Tx, changes: readonly RowChange[]): Promise<ReadonlyMap<string, Row<TrackedName>>> => {
  const tables = [...new Set(changes.map((c) => c.table))];
  const found = await Promise.all(
    tables.map(async (table) => {
      const ids = changes.filter((c) => c.table === table).map((c) => c.id);
      return [...(await rowsById(tx, table, ids))].map(([id, row]) => [keyOf(table, id), row] as const);
    }),
  );
  return new Map(found.flat());
};
