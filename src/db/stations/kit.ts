import { asc, eq, sum } from 'drizzle-orm';
import { DimsDoor } from '@/core/kit/kit-door';
import type { StoredKit } from '@/core/kit/stored-kit';
import { ok, type Result } from '@/core/result';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../change-unit';
import type { Db, Reader } from '../connection';
import { drop, put } from '../event-payload';
import { onHand } from '../load-unit';
import { prepared } from '../prepared';
import { kits, stockMoves } from '../tables';

const storeQuery = prepared((db: Reader) =>
  db.query.kits
    .findMany({
      orderBy: (k) => asc(k.number),
      with: { items: { columns: { kind: true, name: true, qty: true, dims: true }, orderBy: (i) => asc(i.seq) } },
    })
    .prepare(),
);

const stockQuery = prepared((db: Reader) =>
  db
    .select({ kitId: stockMoves.kitId, qty: sum(stockMoves.qty).mapWith(Number) })
    .from(stockMoves)
    .groupBy(stockMoves.kitId)
    .prepare(),
);

/** The whole store: kits with their contents and what is on hand. */
export async function kitStore(db: Reader): Promise<readonly StoredKit[]> {
  const rows = await storeQuery(db).execute();
  const stock = new Map((await stockQuery(db).execute()).map((s) => [s.kitId, s.qty]));
  return rows.map((kit) => ({
    ...kit,
    stock: stock.get(kit.id) ?? 0,
    items: kit.items.map((i) => ({ ...i, dims: DimsDoor.parse(i.dims) })),
  }));
}

/** Sets one kit aside for a unit: it leaves the shelf in the same transaction, and never below zero. */
export const setKitAside = (db: Db, change: Change, kitId: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const [kit] = await tx.select().from(kits).where(eq(kits.id, kitId));
    if (kit === undefined) return refused('There is no such kit.');
    if ((await onHand(tx, kitId)) < 1) return refused(`${kit.number} is gone: none on the shelf.`);
    if (record.steps.some((s) => s.station === 'close-up')) return refused('The unit is closed up already.');
    return ok([
      put('stockMoves', {
        id: change.eventId,
        kitId,
        unitId: record.unit.id,
        qty: -1,
        reason: 'set-aside',
        at,
        personId: change.person.id,
      }),
    ]);
  });

/** Puts a kit that was set aside back on the shelf. */
export const putKitBack = (db: Db, change: Change, moveId: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record) => {
    if (!record.setAside.some((s) => s.moveId === moveId)) return refused('That kit is not set aside for this unit.');
    if (record.tray.some((p) => p.goesIn?.piece === 'new')) return refused('Parts of it are in the unit already.');
    return ok([drop('stockMoves', moveId), drop('steps', `${record.unit.id}-kit`)]);
  });
