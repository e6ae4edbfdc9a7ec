import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { STATIONS } from '@/core/station';
import { flag, id, time } from './columns';
import { people } from './people';
import { units } from './units';

/** How well a kind of exercise sits with somebody: at which level, and when it is met again. */
export const practiceCards = sqliteTable(
  'practice_cards',
  {
    personId: text()
      .notNull()
      .references(() => people.id),
    kind: text().notNull(),
    level: integer().notNull(),
    dueAt: time().notNull(),
    card: text({ mode: 'json' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.personId, t.kind] })],
);

/** An exercise that was answered. It counts in nothing of the shop’s. */
export const practiceTries = sqliteTable(
  'practice_tries',
  {
    id: id(),
    personId: text()
      .notNull()
      .references(() => people.id),
    kind: text().notNull(),
    level: integer().notNull(),
    seed: integer().notNull(),
    at: time().notNull(),
    right: flag().notNull(),
    hints: integer().notNull(),
    /** The family that it was asked of, on a beginner’s path. */
    family: text(),
  },
  (t) => [index('practice_tries_person').on(t.personId, t.at)],
);

/** What a station asks of whoever is signed off for it; no row: nothing. */
export const stationSkills = sqliteTable('station_skills', {
  station: text({ enum: STATIONS }).primaryKey(),
  asks: text({ mode: 'json' }).notNull(),
});

/** A skill that was signed off after real work was watched. */
export const skillSigns = sqliteTable(
  'skill_signs',
  {
    id: id(),
    personId: text()
      .notNull()
      .references(() => people.id),
    station: text({ enum: STATIONS }).notNull(),
    at: time().notNull(),
    byId: text()
      .notNull()
      .references(() => people.id),
    words: text().notNull(),
    /** What the station asks had been practised. */
    practised: flag().notNull(),
    /** When it ends by itself; null: never. */
    until: time(),
    endedAt: time(),
  },
  (t) => [index('skill_signs_person').on(t.personId, t.station)],
);

/** Who worked along, by their PIN, where somebody without the skill worked at a station of a unit. */
export const standBys = sqliteTable(
  'stand_bys',
  {
    id: id(),
    unitId: text()
      .notNull()
      .references(() => units.id),
    station: text({ enum: STATIONS }).notNull(),
    personId: text()
      .notNull()
      .references(() => people.id),
    withId: text()
      .notNull()
      .references(() => people.id),
    at: time().notNull(),
  },
  (t) => [index('stand_bys_unit').on(t.unitId, t.station, t.personId)],
);

/** A case of the shop’s own, made of a unit that left, without names: a picture, a question, the record’s answer, the lead’s words. */
export const practiceCases = sqliteTable('practice_cases', {
  id: id(),
  at: time().notNull(),
  byId: text()
    .notNull()
    .references(() => people.id),
  asked: text({ mode: 'json' }).notNull(),
  /** Of the unit’s photos. */
  photoIds: text({ mode: 'json' }).notNull(),
  words: text().notNull(),
  endedAt: time(),
});

/** A whole job on a practice unit, which has a database of its own until it ends. */
export const practiceJobs = sqliteTable(
  'practice_jobs',
  {
    job: integer().primaryKey({ autoIncrement: true }),
    /** Made by the page, so that it is begun once. */
    id: text().notNull().unique(),
    personId: text()
      .notNull()
      .references(() => people.id),
    family: text().notNull(),
    seed: integer().notNull(),
    begunAt: time().notNull(),
    endedAt: time(),
    /** Its truth beside what was found, once it has ended. */
    compared: text({ mode: 'json' }),
  },
  (t) => [index('practice_jobs_person').on(t.personId, t.begunAt)],
);

/** A case that was answered. */
export const caseTries = sqliteTable(
  'case_tries',
  {
    id: id(),
    caseId: text()
      .notNull()
      .references(() => practiceCases.id),
    personId: text()
      .notNull()
      .references(() => people.id),
    at: time().notNull(),
    right: flag().notNull(),
  },
  (t) => [index('case_tries_person').on(t.personId, t.caseId)],
);
