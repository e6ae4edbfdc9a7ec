import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { UNIT_KINDS } from '@/core/family/family-name';
import { MATERIALS } from '@/core/family/material';
import { BORE_OUTCOMES } from '@/core/judge/outcome';
import { EXITS, STATIONS } from '@/core/station';
import { PHOTO_KINDS } from '@/core/unit/photo';
import { id, time } from './columns';
import { people } from './people';

export const customers = sqliteTable(
  'customers',
  {
    id: id(),
    name: text().notNull(),
    phone: text().notNull(),
    mail: text().notNull().default(''),
    address: text().notNull().default(''),
    createdAt: time().notNull(),
    /** Last changed on its own page; null: as it came in. */
    editedAt: time(),
    /** The one that this turned out to be. */
    mergedInto: text(),
    erasedAt: time(),
  },
  (t) => [index('customers_name').on(t.name), index('customers_edited').on(t.editedAt), index('customers_merged').on(t.mergedInto)],
);

export const jobs = sqliteTable(
  'jobs',
  {
    id: id(),
    customerId: text()
      .notNull()
      .references(() => customers.id),
    machine: text().notNull(),
    promisedAt: time().notNull(),
    createdAt: time().notNull(),
  },
  (t) => [index('jobs_customer').on(t.customerId)],
);

/** The shop's own forms of a family. A row is never changed: what replaces it is named in it, and units keep the one they came in by. */
export const familyVariants = sqliteTable('family_variants', {
  id: id(),
  label: text().notNull(),
  variant: text({ mode: 'json' }).notNull(),
  at: time().notNull(),
  personId: text().notNull(),
  replacedBy: text(),
});

export const units = sqliteTable(
  'units',
  {
    id: id(),
    jobId: text()
      .notNull()
      .references(() => jobs.id),
    tagNo: integer().notNull().unique(),
    family: text({ enum: UNIT_KINDS }).notNull(),
    variantId: text().references(() => familyVariants.id),
    position: text().notNull(),
    identityMarks: text().notNull(),
    /** What the customer says of this unit; a job may bring several. */
    complaints: text({ mode: 'json' }).notNull().default([]),
    complaintText: text().notNull().default(''),
    /** What happened before, and what the machine has. */
    before: text({ mode: 'json' }).notNull().default([]),
    material: text({ enum: MATERIALS }).notNull(),
    geometry: text({ mode: 'json' }),
    /** Second and third pot of a caliper half. */
    morePots: text({ mode: 'json' }).notNull().default([]),
    pistonDiaMm: real(),
    dueAt: time().notNull(),
    createdAt: time().notNull(),
    version: integer().notNull(),
    /** Time of the unit's last event. */
    changedAt: time().notNull(),
    /** Computed from the records with every change, for the rack: the station it is at, or was at when it left. */
    station: text({ enum: STATIONS }).notNull(),
    outcome: text({ enum: BORE_OUTCOMES }),
    targetDiaMm: real(),
    /** When the bore was last cut or sleeved: readings and verdicts from before count no more. */
    boreChangedAt: time().notNull(),
    exit: text({ enum: EXITS }),
    exitAt: time(),
    /** The life before, of one that came back: another row of this table. */
    comesBackFrom: text(),
    /** Which of the shop's places it is at; null: the first. */
    branch: text(),
    /** The place that it is on its way to. */
    goesTo: text(),
    /** When it was booked in, the plan had it ready by then at 9 in 10; null where it was not asked. */
    heldAt: time(),
  },
  (t) => [
    index('units_rack').on(t.exit, t.station, t.dueAt),
    index('units_job').on(t.jobId),
    index('units_exit_at').on(t.exitAt),
    index('units_comes_back').on(t.comesBackFrom),
    index('units_held').on(t.exit, t.heldAt, t.exitAt),
  ],
);

export const unitEvents = sqliteTable(
  'unit_events',
  {
    id: id(),
    unitId: text()
      .notNull()
      .references(() => units.id),
    version: integer().notNull(),
    at: time().notNull(),
    personId: text()
      .notNull()
      .references(() => people.id),
    kind: text().notNull(),
    note: text().notNull(),
    payload: text({ mode: 'json' }).notNull(),
    /** Of what was sent with it; empty for what the shop itself did, null before it was kept. */
    digest: text(),
    undoneBy: text(),
  },
  (t) => [uniqueIndex('unit_events_order').on(t.unitId, t.version)],
);

/** A row that is a unit’s own. */
export const ofUnit = () =>
  text()
    .notNull()
    .references(() => units.id);

/** A station signed off. `override` holds a lead's reason where a condition was not met. */
export const steps = sqliteTable(
  'steps',
  {
    id: id(),
    unitId: ofUnit(),
    station: text({ enum: STATIONS }).notNull(),
    at: time().notNull(),
    personId: text().notNull(),
    note: text().notNull(),
    override: text(),
    unmet: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('steps_unit').on(t.unitId)],
);

/** A wait with an owner. */
export const timers = sqliteTable(
  'timers',
  {
    id: id(),
    unitId: ofUnit(),
    label: text().notNull(),
    startedAt: time().notNull(),
    endsAt: time().notNull(),
    personId: text().notNull(),
    ownerId: text().notNull(),
    rungAt: time(),
    doneAt: time(),
  },
  (t) => [index('timers_unit').on(t.unitId), index('timers_open').on(t.doneAt, t.endsAt)],
);

/** Pictures, stored by the hash of their re-encoded bytes outside any served folder. */
export const photos = sqliteTable(
  'photos',
  {
    id: id(),
    unitId: ofUnit(),
    hash: text().notNull(),
    caption: text().notNull(),
    at: time().notNull(),
    personId: text().notNull(),
    onKind: text({ enum: PHOTO_KINDS }).notNull(),
    onId: text().notNull(),
    phase: text({ enum: ['out', 'in'] }).notNull(),
  },
  (t) => [index('photos_unit').on(t.unitId)],
);
