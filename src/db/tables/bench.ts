import { index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { UNIT_KINDS } from '@/core/family/family-name';
import { id, time } from './columns';
import { ofUnit } from './units';

/** What was noted of a unit at a bench beside its tray and its bore, by kind: what touches its rubber, finishes, gaps, tries by hand. */
export const benchRecords = sqliteTable(
  'bench_records',
  {
    id: id(),
    unitId: ofUnit(),
    kind: text().notNull(),
    at: time().notNull(),
    personId: text().notNull(),
    data: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('bench_records_unit').on(t.unitId)],
);

/** What a manual gives for a screw of a fitment, or of one place of one machine where the fitment is not known; the newest prevails. */
export const torques = sqliteTable(
  'torques',
  {
    id: id(),
    fitmentId: text(),
    family: text({ enum: UNIT_KINDS }).notNull(),
    machine: text().notNull(),
    position: text().notNull(),
    slotId: text().notNull(),
    nm: real().notNull(),
    hand: text({ enum: ['right', 'left'] }).notNull(),
    source: text().notNull(),
    at: time().notNull(),
    personId: text().notNull(),
  },
  (t) => [index('torques_fitment').on(t.fitmentId), index('torques_place').on(t.family, t.machine)],
);
