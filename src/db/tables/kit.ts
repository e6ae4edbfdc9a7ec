import { sql } from 'drizzle-orm';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { MOVE_REASONS } from '@/core/store/stock-record';
import { id, time } from './columns';
import { ofUnit, units } from './units';

/** What the store keeps and sells: kits and sundries. */
export const articles = sqliteTable(
  'articles',
  {
    id: id(),
    number: text().notNull().unique(),
    type: text({ enum: ['kit', 'sundry'] }).notNull(),
    name: text().notNull(),
    price: real().notNull(),
    leadDays: integer(),
    note: text().notNull(),
    supersededBy: text(),
    reorderAt: integer(),
    /** What is in its bag. */
    items: text({ mode: 'json' }).notNull(),
    changedAt: time().notNull(),
  },
  (t) => [index('articles_changed').on(t.changedAt)],
);

const ofArticle = () =>
  text()
    .notNull()
    .references(() => articles.id);

/** Pieces that came together. */
export const lots = sqliteTable(
  'lots',
  {
    id: id(),
    articleId: ofArticle(),
    code: text().notNull(),
    receivedAt: time().notNull(),
    expiresAt: time(),
    fault: text().notNull(),
    changedAt: time().notNull(),
  },
  (t) => [index('lots_article').on(t.articleId), index('lots_changed').on(t.changedAt)],
);

/** Every piece that came or went, with who and why; what is on hand is their sum, and never below zero. */
export const stockMoves = sqliteTable(
  'stock_moves',
  {
    id: id(),
    articleId: ofArticle(),
    lotId: text()
      .notNull()
      .references(() => lots.id),
    unitId: text().references(() => units.id),
    qty: integer().notNull(),
    reason: text({ enum: MOVE_REASONS }).notNull(),
    note: text().notNull(),
    at: time().notNull(),
    personId: text().notNull(),
  },
  (t) => [
    index('stock_moves_lot').on(t.lotId, t.qty),
    index('stock_moves_article').on(t.articleId, t.at),
    index('stock_moves_unit').on(t.unitId),
    index('stock_moves_at').on(t.at),
  ],
);

/** What was set aside for a unit, as the catalogue told of it that day, and what was really in the bag once it was opened. */
export const bags = sqliteTable(
  'bags',
  {
    /** That of its stock move. */
    id: id(),
    unitId: ofUnit(),
    articleId: ofArticle(),
    lotId: text().notNull(),
    number: text().notNull(),
    name: text().notNull(),
    lotCode: text().notNull(),
    expiresAt: time(),
    qty: integer().notNull(),
    items: text({ mode: 'json' }).notNull(),
    at: time().notNull(),
    openedAt: time(),
    openedBy: text(),
    findings: text({ mode: 'json' }).notNull(),
    /** Pieces of it that were kept as sundries, by the item's place. */
    kept: text({ mode: 'json' }).notNull(),
    /** Pieces that were spoilt on their way in, by the item's place; their lot is not to blame. */
    spoilt: text({ mode: 'json' }).notNull(),
  },
  (t) => [
    index('bags_unit').on(t.unitId),
    index('bags_lot').on(t.lotId),
    index('bags_number').on(t.number, t.unitId),
    index('bags_lot_code').on(t.lotCode, t.unitId),
    index('bags_faulty').on(t.number, t.lotCode).where(sql`findings <> '[]'`),
  ],
);

/** What was ordered; for a unit where that waits for it. */
export const orders = sqliteTable(
  'orders',
  {
    id: id(),
    articleId: ofArticle(),
    unitId: text().references(() => units.id),
    /** The unit's wait. */
    timerId: text(),
    qty: integer().notNull(),
    orderedAt: time().notNull(),
    expectedAt: time().notNull(),
    personId: text().notNull(),
    receivedAt: time(),
  },
  (t) => [index('orders_article').on(t.articleId), index('orders_unit').on(t.unitId)],
);

/** Where units belong, and what they measure there. */
export const fitments = sqliteTable(
  'fitments',
  {
    id: id(),
    machine: text().notNull(),
    maker: text().notNull(),
    yearFrom: integer(),
    yearTo: integer(),
    family: text().notNull(),
    position: text().notNull(),
    features: text({ mode: 'json' }).notNull(),
    kits: text({ mode: 'json' }).notNull(),
    note: text().notNull(),
    changedAt: time().notNull(),
  },
  (t) => [index('fitments_changed').on(t.changedAt)],
);

/** Which fitment a unit is taken to be, and what was measured to tell. Released, it teaches. */
export const identities = sqliteTable(
  'identities',
  {
    id: id(),
    unitId: ofUnit(),
    fitmentId: text().notNull(),
    /** The fitment in words, as it was then. */
    label: text().notNull(),
    measured: text({ mode: 'json' }).notNull(),
    at: time().notNull(),
    personId: text().notNull(),
  },
  (t) => [index('identities_unit').on(t.unitId), index('identities_fitment').on(t.fitmentId)],
);

/** A file that was taken in whole, with the rows that it replaced, so that it can be taken back whole. */
export const imports = sqliteTable('imports', {
  id: id(),
  what: text().notNull(),
  file: text().notNull(),
  at: time().notNull(),
  personId: text().notNull(),
  added: integer().notNull(),
  changed: integer().notNull(),
  /** Ids that it made, and rows as they were. */
  undo: text({ mode: 'json' }).notNull(),
  undoneAt: time(),
});
