import type { Db } from '../engine/connection';
import { endWait } from '../unit/waits';
import { openOrders, type Received, receive, type StockChange } from './stock';

/** Takes pieces in; where a unit waited for them by this order, its wait ends. The delivery stands whether or not the unit is still there. */
export async function receiveAndTell(db: Db, change: StockChange, r: Received): ReturnType<typeof receive> {
  const waiting = (await openOrders(db, r.articleId)).find((o) => o.id === r.orderId);
  const done = await receive(db, change, r);
  if (!done.ok || waiting?.unitId == null || waiting.timerId === null) return done;
  const { id, person, at } = change;
  await endWait(
    db,
    {
      eventId: `${id}-here`,
      unitId: waiting.unitId,
      version: null,
      person,
      at,
      kind: 'wait-ended',
      note: 'its parts are here',
      digest: '',
    },
    waiting.timerId,
  );
  return done;
}
