import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { METHOD_NAMES, STUCK_STATES, TREATMENT_RESULTS } from '@/core/strip/treatment';
import { id, time } from './columns';
import { ofUnit } from './units';

/** The tray: one row a slot. */
export const parts = sqliteTable(
  'parts',
  {
    id: id(),
    unitId: ofUnit(),
    /** Parts that were added lie between whole numbers. */
    seq: real().notNull(),
    slotId: text().notNull(),
    kind: text().notNull(),
    name: text().notNull(),
    qty: integer().notNull(),
    found: text({ enum: ['present', 'absent'] }),
    condition: text(),
    faces: text({ enum: ['open', 'blind'] }),
    dims: text({ mode: 'json' }).notNull(),
    checks: text({ mode: 'json' }).notNull(),
    note: text().notNull(),
    fate: text({ enum: ['refitted', 'replaced', 'binned'] }),
    allowed: text({ mode: 'json' }),
    goesIn: text({ mode: 'json' }),
  },
  (t) => [index('parts_unit').on(t.unitId)],
);

/** A step of the strip guide that was done. */
export const guideTicks = sqliteTable(
  'guide_ticks',
  {
    id: id(),
    unitId: ofUnit(),
    stepId: text().notNull(),
    at: time().notNull(),
    personId: text().notNull(),
    note: text().notNull(),
    dims: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('guide_ticks_unit').on(t.unitId)],
);

/** What was done to a body: attempts to free it, and cleanings. */
export const treatments = sqliteTable(
  'treatments',
  {
    id: id(),
    unitId: ofUnit(),
    at: time().notNull(),
    personId: text().notNull(),
    method: text({ enum: METHOD_NAMES }).notNull(),
    state: text({ enum: STUCK_STATES }),
    pressureBar: real(),
    minutes: real(),
    result: text({ enum: TREATMENT_RESULTS }).notNull(),
    note: text().notNull(),
    /** Which drilling was cleared: a port of the bore or a part of the tray, by its id. */
    drilling: text(),
  },
  (t) => [index('treatments_unit').on(t.unitId), index('treatments_state').on(t.state, t.method, t.at)],
);

/** Tests that were made, and causes that were confirmed or ruled out. */
export const findings = sqliteTable(
  'findings',
  {
    id: id(),
    unitId: ofUnit(),
    at: time().notNull(),
    personId: text().notNull(),
    about: text({ enum: ['test', 'cause'] }).notNull(),
    name: text().notNull(),
    answer: text({ enum: ['yes', 'no'] }).notNull(),
  },
  (t) => [index('findings_unit').on(t.unitId), index('findings_name').on(t.about, t.name, t.answer, t.unitId)],
);

/** Versions of the shop's likelihoods of causes; the newest is in force. */
export const causeModels = sqliteTable('cause_models', {
  id: id(),
  version: integer().notNull().unique(),
  at: time().notNull(),
  personId: text().notNull(),
  note: text().notNull(),
  likelihoods: text({ mode: 'json' }).notNull(),
});
