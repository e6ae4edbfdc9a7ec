import type { Fitment } from '@/core/identify/fitment';
import type { Article } from '@/core/store/article';
import type { Db } from '@/db/engine/connection';
import { articles, fitments, lots, stockMoves } from '@/db/tables';

export type NewLot = {
  readonly code: string;
  readonly qty: number;
  readonly at: number;
  readonly expiresAt: number | null;
  readonly fault: string;
};
export type NewArticle = Omit<Article, 'id'>;

/** Enters an article with its lots and what was received of each. */
export async function insertArticle(db: Db, article: NewArticle, stock: readonly NewLot[], at: number, personId: string): Promise<void> {
  const articleId = `art-${article.number}`;
  await db.transaction(async (tx) => {
    await tx.insert(articles).values({ id: articleId, ...article, changedAt: at });
    for (const [i, { qty, code, at: receivedAt, ...lot }] of stock.entries()) {
      const lotId = `${articleId}-${i}`;
      await tx.insert(lots).values({ id: lotId, articleId, code, receivedAt, ...lot, changedAt: receivedAt });
      if (qty > 0)
        await tx
          .insert(stockMoves)
          .values({ id: `${lotId}-received`, articleId, lotId, unitId: null, qty, reason: 'received', note: '', at: receivedAt, personId });
    }
  });
}

export const insertFitment = async (db: Db, fitment: Fitment, at: number): Promise<void> => {
  await db.insert(fitments).values({ ...fitment, changedAt: at });
};
