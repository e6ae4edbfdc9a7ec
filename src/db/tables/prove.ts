import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { id, time } from './columns';
import { ofUnit } from './units';

/** A run on the rig, stored whole. `analysis` holds the air check and the hold test. */
export const rigRuns = sqliteTable(
  'rig_runs',
  {
    id: id(),
    unitId: ofUnit(),
    rig: text().notNull(),
    personId: text().notNull(),
    startedAt: time().notNull(),
    endedAt: time(),
    state: text({ enum: ['running', 'finished', 'aborted', 'broken'] }).notNull(),
    targetBar: real().notNull(),
    holdS: real().notNull(),
    because: text().notNull(),
    outcome: text({ enum: ['pass', 'fail', 'hold-longer'] }),
    samples: text({ mode: 'json' }).notNull(),
    analysis: text({ mode: 'json' }),
  },
  (t) => [index('rig_runs_unit').on(t.unitId, t.startedAt)],
);

export const signatures = sqliteTable(
  'signatures',
  { id: id(), unitId: ofUnit(), personId: text().notNull(), name: text().notNull(), role: text().notNull(), at: time().notNull() },
  (t) => [index('signatures_unit').on(t.unitId)],
);

/** What was stated at release; numbered, each with the hash of itself and of the one before. Never edited: superseded. */
export const certificates = sqliteTable(
  'certificates',
  {
    id: id(),
    number: integer().notNull().unique(),
    unitId: ofUnit(),
    at: time().notNull(),
    statement: text({ mode: 'json' }).notNull(),
    hash: text().notNull(),
    previousHash: text().notNull(),
    supersedes: integer(),
  },
  (t) => [index('certificates_unit').on(t.unitId)],
);
