import { and, desc, eq, isNotNull, isNull, sum } from 'drizzle-orm';
import { ages } from '@/core/kit/bag';
import type { Person } from '@/core/people/role';
import { fail, ok, type Result } from '@/core/result';
import type { Article } from '@/core/store/article';
import type { OpenOrder, StockMove } from '@/core/store/stock-record';
import { cachedBy } from '../engine/cached';
import type { Db, Reader, Tx } from '../engine/connection';
import { NUMBER_TAKEN } from '../engine/number-taken';
import { prepared } from '../engine/prepared';
import { articles, lots, orders, people, stockMoves, units } from '../tables';
import { movesStamp, toArticle } from './catalogue';

/** Who moves stock, when; the client makes `id`: a retry with the same one applies once. */
export type StockChange = { readonly id: string; readonly person: Person; readonly at: number };
export type StockError = { readonly code: 'refused'; readonly reasons: readonly string[] };
type Done = Result<{ readonly lotId: string }, StockError>;

const refuse = (...reasons: readonly string[]) => fail({ code: 'refused' as const, reasons });

/** Pieces of a lot on the shelf. */
export const onShelf = async (db: Reader, lotId: string): Promise<number> => {
  const [row] = await db
    .select({ qty: sum(stockMoves.qty) })
    .from(stockMoves)
    .where(eq(stockMoves.lotId, lotId));
  return Number(row?.qty ?? 0);
};

export type Received = {
  readonly articleId: string;
  readonly lot: string;
  readonly qty: number;
  readonly expiresAt: number | null;
  /** The order that it answers. */
  readonly orderId: string | null;
};

/** Takes pieces in, as a lot of their own or into the one of that code. An order that they answer is closed. */
export const receive = (db: Db, change: StockChange, r: Received): Promise<Done> =>
  once(db, change, { articleId: r.articleId, qty: r.qty, reason: 'received' }, async (tx) => {
    const [row] = await tx.select().from(articles).where(eq(articles.id, r.articleId));
    const known = await tx
      .select({ id: lots.id })
      .from(lots)
      .where(and(eq(lots.articleId, r.articleId), eq(lots.code, r.lot)));
    if (row !== undefined && known.length === 0 && r.expiresAt === null && ages(toArticle(row)))
      return refuse('Rubber ages in the bag: give the date that stands on it, as 31.5.2031.');
    const lot = await lotFor(tx, change, r);
    if (!lot.ok) return lot;
    await move(tx, change, { articleId: r.articleId, lotId: lot.value, qty: r.qty, reason: 'received', note: '' });
    if (r.orderId !== null) await tx.update(orders).set({ receivedAt: change.at }).where(eq(orders.id, r.orderId));
    return ok({ lotId: lot.value });
  });

/** The lot of a code, made where there is none; its date may be given once and not be another later. */
export const lotFor = async (
  tx: Tx,
  { id, at }: Pick<StockChange, 'id' | 'at'>,
  l: { readonly articleId: string; readonly lot: string; readonly expiresAt: number | null },
): Promise<Result<string, StockError>> => {
  const [known] = await tx
    .select()
    .from(lots)
    .where(and(eq(lots.articleId, l.articleId), eq(lots.code, l.lot)));
  if (known === undefined) {
    const lotId = `${id}-lot`;
    await tx
      .insert(lots)
      .values({ id: lotId, articleId: l.articleId, code: l.lot, receivedAt: at, expiresAt: l.expiresAt, fault: '', changedAt: at });
    return ok(lotId);
  }
  if (l.expiresAt !== null && known.expiresAt !== null && known.expiresAt !== l.expiresAt)
    return refuse(`Lot ${l.lot} is here with another date; give this delivery a code of its own.`);
  if (l.expiresAt !== null && known.expiresAt === null)
    await tx.update(lots).set({ expiresAt: l.expiresAt, changedAt: at }).where(eq(lots.id, known.id));
  return ok(known.id);
};

/** What was counted of a lot, or put right with a reason; the difference is a move. */
export const correct = (
  db: Db,
  change: StockChange,
  c: { readonly lotId: string; readonly counted: number; readonly reason: 'counted' | 'adjusted'; readonly note: string },
): Promise<Done> =>
  once(db, change, { lotId: c.lotId, reason: c.reason, note: c.note }, async (tx) => {
    const [lot] = await tx.select().from(lots).where(eq(lots.id, c.lotId));
    if (lot === undefined) return refuse('There is no such lot.');
    const qty = c.counted - (await onShelf(tx, c.lotId));
    await move(tx, change, { articleId: lot.articleId, lotId: lot.id, qty, reason: c.reason, note: c.note });
    return ok({ lotId: lot.id });
  });

/** Says what is wrong with a lot, or that nothing is any more. */
export const faultLot = (db: Db, lotId: string, fault: string, at: number): Promise<Done> =>
  db.transaction(async (tx) => {
    const changed = await tx.update(lots).set({ fault, changedAt: at }).where(eq(lots.id, lotId)).returning({ id: lots.id });
    return changed.length === 0 ? refuse('There is no such lot.') : ok({ lotId });
  });

export type NewOrder = { readonly articleId: string; readonly qty: number; readonly expectedAt: number };
export const order = (db: Db, change: StockChange, o: NewOrder): Promise<Result<{ readonly orderId: string }, StockError>> =>
  db.transaction(async (tx) => {
    const [article] = await tx.select().from(articles).where(eq(articles.id, o.articleId));
    if (article === undefined) return refuse('There is no such article.');
    const { articleId, qty, expectedAt } = o;
    const wanted = { articleId, qty, expectedAt, unitId: null, personId: change.person.id };
    const [row] = await tx.select().from(orders).where(eq(orders.id, change.id));
    if (row !== undefined) return isSame(row, wanted) ? ok({ orderId: change.id }) : refuse(NUMBER_TAKEN);
    await tx.insert(orders).values({ ...wanted, id: change.id, timerId: null, orderedAt: change.at, receivedAt: null });
    return ok({ orderId: change.id });
  });

export const setReorder = (db: Db, articleId: string, reorderAt: number | null, at: number): Promise<Result<null, StockError>> =>
  db.transaction(async (tx) => {
    const changed = await tx
      .update(articles)
      .set({ reorderAt, changedAt: at })
      .where(eq(articles.id, articleId))
      .returning({ id: articles.id });
    return changed.length === 0 ? refuse('There is no such article.') : ok(null);
  });

type Move = Pick<typeof stockMoves.$inferInsert, 'articleId' | 'lotId' | 'qty' | 'reason' | 'note'>;
export const move = async (tx: Tx, { id, person, at }: StockChange, m: Move): Promise<void> => {
  await tx.insert(stockMoves).values({ id, unitId: null, at, personId: person.id, ...m });
};

/** Does a change to stock, once however often it is sent. @param same what a move of this number must be to be this change */
const once = (db: Db, change: StockChange, same: Partial<Move>, work: (tx: Tx) => Promise<Done>): Promise<Done> =>
  db.transaction(async (tx) => {
    const [row] = await tx.select().from(stockMoves).where(eq(stockMoves.id, change.id));
    if (row === undefined) return work(tx);
    return isSame(row, { ...same, unitId: null, personId: change.person.id }) ? ok({ lotId: row.lotId }) : refuse(NUMBER_TAKEN);
  });

const isSame = <R extends object>(row: R, wanted: Partial<R>): boolean =>
  Object.entries(wanted).every(([name, value]) => row[name as keyof R] === value);

/** What came and went of an article, the newest first. */
export const movesOf = (db: Reader, articleId: string, most = 40): Promise<readonly StockMove[]> =>
  db
    .select({
      id: stockMoves.id,
      at: stockMoves.at,
      qty: stockMoves.qty,
      reason: stockMoves.reason,
      note: stockMoves.note,
      lot: lots.code,
      tagNo: units.tagNo,
      by: people.name,
    })
    .from(stockMoves)
    .innerJoin(lots, eq(stockMoves.lotId, lots.id))
    .leftJoin(units, eq(stockMoves.unitId, units.id))
    .leftJoin(people, eq(stockMoves.personId, people.id))
    .where(eq(stockMoves.articleId, articleId))
    .orderBy(desc(stockMoves.at))
    .limit(most);

/** Orders that have not come, the next to come first. */
export const openOrders = (db: Reader, articleId?: Article['id']): Promise<readonly OpenOrder[]> =>
  db
    .select({
      id: orders.id,
      articleId: orders.articleId,
      qty: orders.qty,
      orderedAt: orders.orderedAt,
      expectedAt: orders.expectedAt,
      unitId: orders.unitId,
      timerId: orders.timerId,
      tagNo: units.tagNo,
    })
    .from(orders)
    .leftJoin(units, eq(orders.unitId, units.id))
    .where(and(isNull(orders.receivedAt), articleId === undefined ? undefined : eq(orders.articleId, articleId)))
    .orderBy(orders.expectedAt);

const usedQuery = prepared((db: Reader) =>
  db
    .select({ articleId: stockMoves.articleId, at: stockMoves.at, qty: stockMoves.qty })
    .from(stockMoves)
    .where(isNotNull(stockMoves.unitId))
    .prepare(),
);

const readUses = async (db: Reader): Promise<ReadonlyMap<string, readonly number[]>> => {
  const all = new Map<string, number[]>();
  for (const { articleId, at, qty } of await usedQuery(db).execute()) {
    const list = all.get(articleId) ?? [];
    for (let i = 0; i < -qty; i++) list.push(at);
    all.set(articleId, list);
  }
  return all;
};
const cachedUses = cachedBy<Reader, Awaited<ReturnType<typeof readUses>>>(movesStamp, readUses);

/** Times at which pieces went to units, by article. */
export const usesOf = (db: Reader) => cachedUses(db, 'all');
