import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { MATERIALS } from '@/core/bore/material';
import { METHOD_NAMES, STUCK_STATES, TREATMENT_RESULTS } from '@/core/clean/treatment';
import { UNIT_KINDS } from '@/core/family/family-name';
import { DRIVE_NAMES, TOOL_NAMES } from '@/core/hone/drive';

// Times are ms since 1970 UTC, lengths mm, depths µm, pressures bar, volumes ml. JSON columns are parsed by their doors on the way out.

const id = () => text().primaryKey();
const time = () => integer();
const flag = () => integer({ mode: 'boolean' });
const dated = () => integer({ mode: 'timestamp_ms' });

/** People of the shop; the sign-in library's users. `username` is the id's short form. */
export const people = sqliteTable('people', {
  id: id(),
  name: text().notNull(),
  email: text().notNull().unique(),
  emailVerified: flag().notNull(),
  image: text(),
  username: text().unique(),
  displayUsername: text(),
  role: text({ enum: ['technician', 'lead', 'counter', 'owner'] }).notNull(),
  bench: text(),
  failedPins: integer().notNull().default(0),
  lockedUntil: time(),
  createdAt: dated().notNull(),
  updatedAt: dated().notNull(),
});

export const sessions = sqliteTable(
  'sessions',
  {
    id: id(),
    token: text().notNull().unique(),
    userId: text()
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    expiresAt: dated().notNull(),
    ipAddress: text(),
    userAgent: text(),
    createdAt: dated().notNull(),
    updatedAt: dated().notNull(),
  },
  (t) => [index('sessions_person').on(t.userId)],
);

/** Credentials: one row a person, the PIN hashed (scrypt). */
export const accounts = sqliteTable(
  'accounts',
  {
    id: id(),
    accountId: text().notNull(),
    providerId: text().notNull(),
    userId: text()
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    password: text(),
    accessToken: text(),
    refreshToken: text(),
    idToken: text(),
    accessTokenExpiresAt: dated(),
    refreshTokenExpiresAt: dated(),
    scope: text(),
    createdAt: dated().notNull(),
    updatedAt: dated().notNull(),
  },
  (t) => [index('accounts_person').on(t.userId)],
);

/** The sign-in library's own short-lived tokens. */
export const verifications = sqliteTable('verifications', {
  id: id(),
  identifier: text().notNull(),
  value: text().notNull(),
  expiresAt: dated().notNull(),
  createdAt: dated(),
  updatedAt: dated(),
});

export const customers = sqliteTable(
  'customers',
  { id: id(), name: text().notNull(), phone: text().notNull(), createdAt: time().notNull() },
  (t) => [index('customers_name').on(t.name)],
);

export const jobs = sqliteTable(
  'jobs',
  {
    id: id(),
    customerId: text()
      .notNull()
      .references(() => customers.id),
    machine: text().notNull(),
    complaints: text({ mode: 'json' }).notNull(),
    complaintText: text().notNull(),
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
    material: text({ enum: MATERIALS }).notNull(),
    geometry: text({ mode: 'json' }),
    pistonDiaMm: real(),
    dueAt: time().notNull(),
    createdAt: time().notNull(),
    version: integer().notNull(),
    /** Time of the unit's last event. */
    changedAt: time().notNull(),
    /** Computed from the records with every change, for the rack: the station it is at, or how it left. */
    station: text().notNull(),
    outcome: text(),
    targetDiaMm: real(),
    /** When the bore was last cut or sleeved: readings and verdicts from before count no more. */
    boreChangedAt: time().notNull(),
    exit: text({ enum: ['released', 'scrapped', 'returned'] }),
    exitAt: time(),
  },
  (t) => [index('units_rack').on(t.exit, t.station, t.dueAt), index('units_job').on(t.jobId), index('units_exit_at').on(t.exitAt)],
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
    undoneBy: text(),
  },
  (t) => [uniqueIndex('unit_events_order').on(t.unitId, t.version)],
);

const ofUnit = () =>
  text()
    .notNull()
    .references(() => units.id);

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
    goesIn: text({ mode: 'json' }),
  },
  (t) => [index('parts_unit').on(t.unitId)],
);

/** One gauging of a bore; its readings hang on it. Never edited: a new one takes its place. */
export const gaugings = sqliteTable(
  'gaugings',
  { id: id(), unitId: ofUnit(), at: time().notNull(), personId: text().notNull(), bodyTempC: real(), gaugeTempC: real() },
  (t) => [index('gaugings_unit').on(t.unitId, t.at)],
);

export const readings = sqliteTable(
  'readings',
  {
    id: id(),
    gaugingId: text()
      .notNull()
      .references(() => gaugings.id),
    seq: integer().notNull(),
    xMm: real().notNull(),
    clockDeg: real().notNull(),
    diaMm: real().notNull(),
  },
  (t) => [index('readings_gauging').on(t.gaugingId)],
);

export const marks = sqliteTable(
  'marks',
  {
    id: id(),
    unitId: ofUnit(),
    name: text().notNull(),
    kind: text().notNull(),
    x0Mm: real().notNull(),
    x1Mm: real().notNull(),
    clock0Deg: real().notNull(),
    clock1Deg: real().notNull(),
    depthUm: real(),
    depthUncertaintyUm: real(),
    widthUm: real(),
    cleaned: flag().notNull(),
    note: text().notNull(),
  },
  (t) => [index('marks_unit').on(t.unitId)],
);

/** A saved judgement: what went in, what came out, under which rules. A later rule set does not rewrite it. */
export const verdicts = sqliteTable(
  'verdicts',
  {
    id: id(),
    unitId: ofUnit(),
    gaugingId: text().references(() => gaugings.id),
    ruleSetId: text()
      .notNull()
      .references(() => ruleSets.id),
    at: time().notNull(),
    personId: text().notNull(),
    outcome: text().notNull(),
    input: text({ mode: 'json' }).notNull(),
    answer: text({ mode: 'json' }).notNull(),
    /** What a lead decided against it, with the reason. */
    overrule: text({ mode: 'json' }),
  },
  (t) => [index('verdicts_unit').on(t.unitId, t.at)],
);

/** A station signed off. `override` holds a lead's reason where a condition was not met. */
export const steps = sqliteTable(
  'steps',
  {
    id: id(),
    unitId: ofUnit(),
    station: text().notNull(),
    at: time().notNull(),
    personId: text().notNull(),
    note: text().notNull(),
    override: text(),
    unmet: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('steps_unit').on(t.unitId)],
);

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

/** Passes over a bore with stone, beads or paper. */
export const honePasses = sqliteTable(
  'hone_passes',
  {
    id: id(),
    unitId: ofUnit(),
    at: time().notNull(),
    personId: text().notNull(),
    /** What it cut: the unit's material may be another after a sleeve. */
    material: text({ enum: MATERIALS }).notNull(),
    tool: text({ enum: TOOL_NAMES }).notNull(),
    drive: text({ enum: DRIVE_NAMES }).notNull(),
    grit: integer().notNull(),
    strokes: integer().notNull(),
    strokesPerMin: real().notNull(),
    rpm: real().notNull(),
    beforeMm: real().notNull(),
    afterMm: real().notNull(),
    note: text().notNull(),
  },
  (t) => [index('hone_passes_unit').on(t.unitId), index('hone_passes_material').on(t.material, t.at)],
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
  },
  (t) => [index('treatments_unit').on(t.unitId)],
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
  (t) => [index('findings_unit').on(t.unitId)],
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

/** A person's calendar address; the key in it is kept hashed, and a new one takes its place. */
export const calendarKeys = sqliteTable('calendar_keys', {
  personId: text()
    .primaryKey()
    .references(() => people.id, { onDelete: 'cascade' }),
  hash: text().notNull(),
  at: time().notNull(),
});

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

export const ruleSets = sqliteTable('rule_sets', {
  id: id(),
  version: integer().notNull().unique(),
  at: time().notNull(),
  personId: text().notNull(),
  note: text().notNull(),
  rules: text({ mode: 'json' }).notNull(),
});

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
    onKind: text({ enum: ['unit', 'part', 'step', 'mark'] }).notNull(),
    onId: text().notNull(),
    phase: text({ enum: ['out', 'in'] }).notNull(),
  },
  (t) => [index('photos_unit').on(t.unitId)],
);
