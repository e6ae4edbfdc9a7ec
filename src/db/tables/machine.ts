import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { id, time } from './columns';
import { ofUnit } from './units';

/** Systems of machines as somebody drew them, at a fitment or by themselves. */
export const systems = sqliteTable(
  'systems',
  {
    id: id(),
    name: text().notNull(),
    fitmentId: text(),
    system: text({ mode: 'json' }).notNull(),
    changedAt: time().notNull(),
    personId: text().notNull(),
  },
  (t) => [index('systems_fitment').on(t.fitmentId), index('systems_changed').on(t.changedAt)],
);

/** What was done at a machine to bleed it. `changes`: how often what is told has changed; the later one counts. */
export const bleeds = sqliteTable(
  'bleeds',
  {
    id: id(),
    personId: text().notNull(),
    startedAt: time().notNull(),
    savedAt: time().notNull(),
    method: text({ enum: ['gravity', 'pump', 'vacuum'] }).notNull(),
    system: text({ mode: 'json' }).notNull(),
    events: text({ mode: 'json' }).notNull(),
    changes: integer().notNull(),
  },
  (t) => [index('bleeds_started').on(t.startedAt)],
);

/** What the address of a unit's fitting sheet ends in: made with the unit, by a trigger. */
export const fittingKeys = sqliteTable('fitting_keys', { unitId: ofUnit().primaryKey(), key: text().notNull().unique() });
