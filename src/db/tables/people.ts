import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
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
