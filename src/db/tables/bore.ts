import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { UNIT_KINDS } from '@/core/family/family-name';
import { MATERIALS } from '@/core/family/material';
import { DRIVE_NAMES, TOOL_NAMES } from '@/core/hone/drive';
import { BORE_OUTCOMES } from '@/core/judge/outcome';
import { flag, id, time } from './columns';
import { ofUnit, photos, units } from './units';

/** Which bore of a unit, from 1: a caliper half has one in each pot. */
const pot = () => integer().notNull().default(1);

export const ruleSets = sqliteTable('rule_sets', {
  id: id(),
  version: integer().notNull().unique(),
  at: time().notNull(),
  personId: text().notNull(),
  note: text().notNull(),
  rules: text({ mode: 'json' }).notNull(),
  /** How bores of a material are saved, where the shop holds otherwise than usual. */
  schools: text({ mode: 'json' }).notNull(),
});

/** Gauges of the shop. One that posts its readings has a token, kept hashed. */
export const instruments = sqliteTable('instruments', {
  id: id(),
  name: text().notNull().unique(),
  createdAt: time().notNull(),
  tokenHash: text(),
  /** What it can measure. */
  fromMm: real(),
  toMm: real(),
  /** Of the shop's places; null: the first. */
  branch: text(),
  retiredAt: time(),
});

/** Each time a gauge was held against its setting ring. */
export const ringChecks = sqliteTable(
  'ring_checks',
  {
    id: id(),
    instrumentId: text()
      .notNull()
      .references(() => instruments.id),
    at: time().notNull(),
    personId: text().notNull(),
    ringMm: real().notNull(),
    readMm: real().notNull(),
  },
  (t) => [index('ring_checks_instrument').on(t.instrumentId, t.at)],
);

/** One gauging of a bore; its readings hang on it. Never edited: a new one takes its place. */
export const gaugings = sqliteTable(
  'gaugings',
  {
    id: id(),
    unitId: ofUnit(),
    pot: pot(),
    at: time().notNull(),
    personId: text().notNull(),
    bodyTempC: real(),
    gaugeTempC: real(),
    instrumentId: text().references(() => instruments.id),
    /** A lead's reason for a gauge whose ring check was overdue. */
    override: text(),
  },
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
    pot: pot(),
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
    /** When somebody last looked at it; metal that was cut since is not what was seen. */
    seenAt: time().notNull().default(0),
  },
  (t) => [index('marks_unit').on(t.unitId)],
);

/** A saved judgement: what went in, what came out, under which rules. A later rule set does not rewrite it. */
export const verdicts = sqliteTable(
  'verdicts',
  {
    id: id(),
    unitId: ofUnit(),
    pot: pot(),
    gaugingId: text().references(() => gaugings.id),
    ruleSetId: text()
      .notNull()
      .references(() => ruleSets.id),
    at: time().notNull(),
    personId: text().notNull(),
    outcome: text({ enum: BORE_OUTCOMES }).notNull(),
    input: text({ mode: 'json' }).notNull(),
    answer: text({ mode: 'json' }).notNull(),
    /** What a lead decided against it, with the reason. */
    overrule: text({ mode: 'json' }),
  },
  (t) => [index('verdicts_unit').on(t.unitId, t.at)],
);

/** A photo laid under the bore map: by four of its points, or by two rings where it looks down the bore. One a bore. */
export const underlays = sqliteTable('underlays', {
  id: id(),
  unitId: ofUnit(),
  pot: pot(),
  photoId: text()
    .notNull()
    .references(() => photos.id),
  points: text({ mode: 'json' }).notNull(),
});

/** A maker's limit for one unit, or for all units of a family in one place of one machine; the newest prevails. */
export const makersLimits = sqliteTable(
  'makers_limits',
  {
    id: id(),
    unitId: text().references(() => units.id),
    family: text({ enum: UNIT_KINDS }).notNull(),
    machine: text().notNull(),
    position: text().notNull(),
    pot: pot(),
    maxDiaMm: real(),
    source: text().notNull(),
    at: time().notNull(),
    personId: text().notNull(),
  },
  (t) => [index('makers_limits_unit').on(t.unitId), index('makers_limits_fitment').on(t.family, t.machine)],
);

/** Passes over a bore with stone, beads or paper. */
export const honePasses = sqliteTable(
  'hone_passes',
  {
    id: id(),
    unitId: ofUnit(),
    pot: pot(),
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
    bodyTempC: real(),
    note: text().notNull(),
  },
  (t) => [index('hone_passes_unit').on(t.unitId), index('hone_passes_material').on(t.material, t.at)],
);

/** A body sent out to be sleeved: when, to whom, when it is promised, when it came back. */
export const sleevings = sqliteTable(
  'sleevings',
  {
    id: id(),
    unitId: ofUnit(),
    pot: pot(),
    shop: text().notNull(),
    material: text({ enum: MATERIALS }).notNull(),
    wallMm: real().notNull(),
    sentAt: time().notNull(),
    promisedAt: time().notNull(),
    backAt: time(),
    personId: text().notNull(),
    note: text().notNull(),
  },
  (t) => [index('sleevings_unit').on(t.unitId)],
);
