import { index, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { UNIT_KINDS } from '@/core/family/family-name';
import { STATIONS } from '@/core/station';
import { WAYS } from '@/core/way';
import { id, time } from './columns';
import { ofUnit, units } from './units';

/** What somebody wants of the plan. A row is never changed but for its end. */
export const pins = sqliteTable(
  'pins',
  {
    id: id(),
    unitId: ofUnit(),
    kind: text({ enum: ['first', 'person', 'not-before'] }).notNull(),
    /** Of a pin to a person. */
    personId: text(),
    /** Of one that says not before. */
    notBeforeAt: time(),
    why: text().notNull(),
    madeBy: text().notNull(),
    madeAt: time().notNull(),
    endedBy: text(),
    endedAt: time(),
  },
  (t) => [index('pins_open').on(t.endedAt), index('pins_unit').on(t.unitId)],
);

/** Suppositions that somebody kept; nothing of them is true. */
export const drafts = sqliteTable('drafts', {
  id: id(),
  name: text().notNull(),
  supposed: text({ mode: 'json' }).notNull(),
  personId: text().notNull(),
  at: time().notNull(),
});

/** What units that have left taught of the work, one row each; made when a plan first asks for it. */
export const taughtUnits = sqliteTable(
  'taught_units',
  {
    unitId: text()
      .primaryKey()
      .references(() => units.id),
    way: text({ enum: WAYS }).notNull(),
    /** Bench time by station, min. */
    minutes: text({ mode: 'json' }).notNull(),
    waits: text({ mode: 'json' }).notNull(),
    at: time().notNull(),
  },
  (t) => [index('taught_units_at').on(t.at)],
);

/** Bench times that the shop says, before what it learned. */
export const saidTimes = sqliteTable(
  'said_times',
  {
    family: text({ enum: UNIT_KINDS }).notNull(),
    way: text({ enum: WAYS }).notNull(),
    station: text({ enum: STATIONS }).notNull(),
    minutes: real().notNull(),
    personId: text().notNull(),
    at: time().notNull(),
  },
  (t) => [primaryKey({ columns: [t.family, t.way, t.station] })],
);
