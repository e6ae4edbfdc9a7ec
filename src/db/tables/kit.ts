import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { id, time } from './columns';
import { units } from './units';

export const kits = sqliteTable('kits', {
  id: id(),
  number: text().notNull().unique(),
  name: text().notNull(),
  price: real().notNull(),
  leadDays: integer(),
  note: text().notNull(),
});

export const kitItems = sqliteTable(
  'kit_items',
  {
    id: id(),
    kitId: text()
      .notNull()
      .references(() => kits.id),
    seq: integer().notNull(),
    kind: text().notNull(),
    name: text().notNull(),
    qty: integer().notNull(),
    dims: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('kit_items_kit').on(t.kitId)],
);

/** Every piece that came or went; what is on hand is their sum, and never below zero. */
export const stockMoves = sqliteTable(
  'stock_moves',
  {
    id: id(),
    kitId: text()
      .notNull()
      .references(() => kits.id),
    unitId: text().references(() => units.id),
    qty: integer().notNull(),
    reason: text({ enum: ['received', 'set-aside', 'adjusted'] }).notNull(),
    at: time().notNull(),
    personId: text().notNull(),
  },
  (t) => [index('stock_moves_kit').on(t.kitId), index('stock_moves_unit').on(t.unitId)],
);
