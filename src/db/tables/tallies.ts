import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { time } from './columns';

/** What units that have left teach, as counts: of so many units something holds. Kept up with every change to a unit, so that nothing is counted anew. */
export const tallies = sqliteTable(
  'tallies',
  { subject: text().notNull(), what: text().notNull(), n: integer().notNull(), changedAt: time().notNull() },
  (t) => [primaryKey({ columns: [t.subject, t.what] }), index('tallies_changed').on(t.changedAt)],
);
