import { asc, eq, sql } from 'drizzle-orm';
import { BagItems } from '@/core/kit/bag-schema';
import { stored } from '@/core/schema/stored';
import { type Article, type Lot, type Stocked, stocked } from '@/core/store/article';
import { indexArticle } from '@/core/store/search';
import { cachedUnder } from '../engine/cached';
import type { Reader } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { articles, lots, stockMoves } from '../tables';

const Items = stored(BagItems);

export const toArticle = ({ changedAt: _, ...row }: typeof articles.$inferSelect): Article => ({
  ...row,
  items: Items.parse(row.items),
});

/**
 * Whether articles, moves and lots are those last read, by one statement. Articles and lots carry the time of their last change, moves that of their coming;
 * their sums tell of a change also where the clock went back.
 */
const stampsQuery = prepared((db: Reader) =>
  db
    .select({
      catalogue: sql<string>`(select count(*) || ' ' || coalesce(sum(changed_at), 0) from articles)`,
      moves: sql<string>`(select count(*) || ' ' || coalesce(sum(at), 0) from stock_moves)`,
      lots: sql<string>`(select count(*) || ' ' || coalesce(sum(changed_at), 0) from lots)`,
    })
    .from(sql`(select 1)`)
    .prepare(),
);
const stampsOf = async (db: Reader) => (await stampsQuery(db).execute())[0] ?? { catalogue: '', moves: '', lots: '' };

const articlesQuery = prepared((db: Reader) => db.select().from(articles).orderBy(asc(articles.number)).prepare());

const readIndex = async (db: Reader) => (await articlesQuery(db).execute()).map((row) => indexArticle(toArticle(row)));
const cachedIndex = cachedUnder<Reader, Awaited<ReturnType<typeof readIndex>>>(readIndex);

/** All articles by number, ready to be searched. Read anew only after one changed. */
export const articleIndex = async (db: Reader) => cachedIndex(db, 'all', (await stampsOf(db)).catalogue);

const LOT = {
  id: lots.id,
  articleId: lots.articleId,
  code: lots.code,
  receivedAt: lots.receivedAt,
  expiresAt: lots.expiresAt,
  fault: lots.fault,
  qty: sql<number>`coalesce(sum(${stockMoves.qty}), 0)`.mapWith(Number),
};

const lotsQuery = prepared((db: Reader) =>
  db.select(LOT).from(lots).leftJoin(stockMoves, eq(stockMoves.lotId, lots.id)).groupBy(lots.id).prepare(),
);

/** Lots of one article, the oldest first, with what is on the shelf of each. */
export const lotsOf = (db: Reader, articleId: string): Promise<readonly Lot[]> =>
  db
    .select(LOT)
    .from(lots)
    .leftJoin(stockMoves, eq(stockMoves.lotId, lots.id))
    .where(eq(lots.articleId, articleId))
    .groupBy(lots.id)
    .orderBy(asc(lots.receivedAt));

export const movesStamp = async (db: Reader): Promise<string> => (await stampsOf(db)).moves;

const readShelf = async (db: Reader): Promise<ReadonlyMap<string, readonly Lot[]>> => {
  const all = new Map<string, Lot[]>();
  for (const lot of await lotsQuery(db).execute()) {
    const list = all.get(lot.articleId);
    if (list === undefined) all.set(lot.articleId, [lot]);
    else list.push(lot);
  }
  return all;
};
const cachedShelf = cachedUnder<Reader, Awaited<ReturnType<typeof readShelf>>>(readShelf);

/** Lots by article, with what is on the shelf of each. */
export const shelf = async (db: Reader) => {
  const stamps = await stampsOf(db);
  return cachedShelf(db, 'all', `${stamps.moves} ${stamps.lots}`);
};

/** The whole store: every article with its lots. @param now decides which lots have passed their date, ms */
export async function wholeStore(db: Reader, now: number): Promise<readonly Stocked[]> {
  const stamps = await stampsOf(db);
  const index = await cachedIndex(db, 'all', stamps.catalogue);
  const byArticle = await cachedShelf(db, 'all', `${stamps.moves} ${stamps.lots}`);
  return index.map(({ what }) => stocked(what, byArticle.get(what.id) ?? [], now));
}

export async function articleOf(db: Reader, number: string, now: number): Promise<Stocked | undefined> {
  const [row] = await db.select().from(articles).where(eq(articles.number, number));
  return row === undefined ? undefined : stocked(toArticle(row), await lotsOf(db, row.id), now);
}
