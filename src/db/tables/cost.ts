import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { time } from './columns';

/** The shop's prices, each change a version of all of them. */
export const priceLists = sqliteTable('price_lists', {
  version: integer().primaryKey(),
  at: time().notNull(),
  personId: text().notNull(),
  /** What changed, in words. */
  note: text().notNull(),
  prices: text({ mode: 'json' }).notNull(),
});
