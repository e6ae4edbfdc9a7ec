import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { flag, id, time } from './columns';
import { people } from './people';

/** How well a kind of exercise sits with somebody: at which level, and when it is met again. */
export const practiceCards = sqliteTable(
  'practice_cards',
  {
    personId: text()
      .notNull()
      .references(() => people.id),
    kind: text().notNull(),
    level: integer().notNull(),
    dueAt: time().notNull(),
    card: text({ mode: 'json' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.personId, t.kind] })],
);

/** An exercise that was answered. It counts in nothing of the shop’s. */
export const practiceTries = sqliteTable(
  'practice_tries',
  {
    id: id(),
    personId: text()
      .notNull()
      .references(() => people.id),
    kind: text().notNull(),
    level: integer().notNull(),
    seed: integer().notNull(),
    at: time().notNull(),
    right: flag().notNull(),
    hints: integer().notNull(),
  },
  (t) => [index('practice_tries_person').on(t.personId, t.at)],
);
