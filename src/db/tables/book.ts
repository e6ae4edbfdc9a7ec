import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { id, time } from './columns';
import { people } from './people';

/** A life that a unit had in another shop, as its file tells it. It counts in nothing of this shop’s. */
export const foreignLives = sqliteTable(
  'foreign_lives',
  {
    id: id(),
    /** The tag that it has there. */
    tag: text().notNull(),
    shop: text().notNull(),
    at: time().notNull(),
    byId: text()
      .notNull()
      .references(() => people.id),
    file: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('foreign_lives_at').on(t.at)],
);
