import { eq } from 'drizzle-orm';
import { ok, type Result } from '@/core/result';
import { lotsFor } from '@/core/store/article';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Tx } from '../engine/connection';
import { type Edit, put } from '../engine/edit';
import { lotsOf, toArticle } from '../store/catalogue';
import { articles } from '../tables';
import { waitEdit } from '../unit/waits';

/** What is wanted of one article. */
type Wanted = { readonly articleId: string; readonly qty: number };
/** Of one article of a set: so many from the shelf, and so many ordered, expected at a time, ms. */
export type Pick = { readonly articleId: string; readonly take: number; readonly order: number; readonly expectedAt: number };

/**
 * Sets pieces of an article aside for a unit: they leave the shelf in the same transaction, never below zero, the lot that ages first before others.
 * What has passed its date is refused.
 */
export const setAside = (db: Db, change: Change, wanted: Wanted): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at, tx) => asideEdits({ record, change, at, tx }, wanted, change.eventId));

/** Takes a set of kits and sundries at once: what is there is set aside, what is short is ordered and waited for; all of it, or nothing where one of it cannot be. */
export const takeSet = (db: Db, change: Change, picks: readonly Pick[]): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const taking = { record, change, at, tx };
    const edits: Edit[] = [];
    for (const [i, { articleId, take, order, expectedAt }] of picks.entries()) {
      const id = `${change.eventId}-${i}`;
      const taken = take === 0 ? ok([]) : await asideEdits(taking, { articleId, qty: take }, id);
      if (!taken.ok) return taken;
      const ordered = order === 0 ? ok([]) : await orderEdits(taking, { articleId, qty: order }, expectedAt, id);
      if (!ordered.ok) return ordered;
      edits.push(...taken.value, ...ordered.value);
    }
    return ok(edits);
  });

type Taking = { readonly record: UnitRecord; readonly change: Change; readonly at: number; readonly tx: Tx };

const articleIn = async (tx: Tx, id: string) => {
  const [row] = await tx.select().from(articles).where(eq(articles.id, id));
  return row === undefined ? undefined : toArticle(row);
};

const asideEdits = async (
  { record, change, at, tx }: Taking,
  wanted: Wanted,
  bagId: string,
): Promise<Result<readonly Edit[], ChangeError>> => {
  const article = await articleIn(tx, wanted.articleId);
  if (article === undefined) return refused('There is no such kit.');
  if (record.steps.some((s) => s.station === 'close-up')) return refused('The unit is closed up already.');
  const lots = await lotsOf(tx, article.id);
  const taken = lotsFor(lots, wanted.qty, at);
  if (taken === undefined) {
    const there = lots.reduce((sum, l) => sum + l.qty, 0);
    return refused(
      there >= wanted.qty
        ? `${article.number}: what is on the shelf has passed its date and is not fitted any more.`
        : there === 0
          ? `${article.number} is gone: none on the shelf.`
          : `Of ${article.number} only ${there} are on the shelf.`,
    );
  }
  const who = { unitId: record.unit.id, articleId: article.id, at };
  return ok(
    taken.flatMap(({ lot, qty }, i): readonly Edit[] => {
      const id = i === 0 ? bagId : `${bagId}-lot-${i}`;
      return [
        put('stockMoves', { ...who, id, lotId: lot.id, qty: -qty, reason: 'set-aside', note: '', personId: change.person.id }),
        put('bags', {
          ...who,
          id,
          lotId: lot.id,
          number: article.number,
          name: article.name,
          lotCode: lot.code,
          expiresAt: lot.expiresAt,
          qty,
          items: article.items,
          openedAt: null,
          openedBy: null,
          findings: [],
          kept: [],
          spoilt: [],
        }),
      ];
    }),
  );
};

/** The order of what is short, and the wait until the day it is expected. */
const orderEdits = async (
  { record, change, at, tx }: Taking,
  { articleId, qty }: Wanted,
  expectedAt: number,
  orderId: string,
): Promise<Result<readonly Edit[], ChangeError>> => {
  const article = await articleIn(tx, articleId);
  if (article === undefined) return refused('There is no such kit.');
  if (expectedAt <= at) return refused('It is expected before it is ordered: give a later day.');
  const timerId = `${orderId}-wait`;
  const label = `parts: ${qty > 1 ? `${qty} × ` : ''}${article.number}`;
  const by = { unitId: record.unit.id, personId: change.person.id };
  return ok([
    waitEdit(change, at, { id: timerId, label, endsAt: expectedAt }),
    put('orders', { ...by, id: orderId, articleId, timerId, qty, orderedAt: at, expectedAt, receivedAt: null }),
  ]);
};
