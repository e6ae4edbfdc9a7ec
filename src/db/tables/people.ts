import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ROLES } from '@/core/people/role';
import { dated, flag, id, time } from './columns';

/** People of the shop; the sign-in library's users. `username` is the id's short form. */
export const people = sqliteTable('people', {
  id: id(),
  name: text().notNull(),
  email: text().notNull().unique(),
  emailVerified: flag().notNull(),
  image: text(),
  username: text().unique(),
  displayUsername: text(),
  role: text({ enum: ROLES }).notNull(),
  bench: text(),
  /** Of the shop's places; null: the first. */
  branch: text(),
  /** When they left for good: their name stays on every record, and they sign in no more. */
  leftAt: time(),
  /** When they work and at what; null: in the shop's hours, at whatever their role does. */
  work: text({ mode: 'json' }),
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
  (t) => [index('sessions_person').on(t.userId), index('sessions_past').on(t.expiresAt)],
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

/** A person's calendar address; the key in it is kept hashed, and a new one takes its place. */
export const calendarKeys = sqliteTable('calendar_keys', {
  personId: text()
    .primaryKey()
    .references(() => people.id, { onDelete: 'cascade' }),
  hash: text().notNull(),
  at: time().notNull(),
});

/** A code that lets a person choose a PIN, once; kept hashed, and a new one takes its place. */
export const entryCodes = sqliteTable('entry_codes', {
  personId: text()
    .primaryKey()
    .references(() => people.id, { onDelete: 'cascade' }),
  hash: text().notNull(),
  at: time().notNull(),
  expiresAt: time().notNull(),
});

/** Places where a person's PIN was right: many wrong ones from elsewhere do not shut them out there. */
export const signedInFrom = sqliteTable(
  'signed_in_from',
  {
    personId: text()
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    place: text().notNull(),
    at: time().notNull(),
  },
  (t) => [primaryKey({ columns: [t.personId, t.place] })],
);

/** Wrong PINs of people there are, with where they were tried: limits count them, and the owner is told. */
export const wrongPins = sqliteTable(
  'wrong_pins',
  { id: integer().primaryKey({ autoIncrement: true }), personId: text().notNull(), place: text().notNull(), at: time().notNull() },
  (t) => [index('wrong_pins_place').on(t.place, t.at), index('wrong_pins_person').on(t.personId, t.at), index('wrong_pins_at').on(t.at)],
);
