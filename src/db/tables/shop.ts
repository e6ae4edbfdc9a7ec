import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { SHOP_EVENTS } from '@/core/shop/shop-event';
import { TOKEN_SCOPES } from '@/core/shop/token';
import { id, time } from './columns';

/** What an owner set of the shop, each change a version. */
export const shopSettings = sqliteTable('shop_settings', {
  version: integer().primaryKey(),
  at: time().notNull(),
  /** Who set it; empty for the program. */
  personId: text().notNull(),
  settings: text({ mode: 'json' }).notNull(),
});

/** Who changed what of the shop itself: settings, people, tokens, backups. `lines` says it as it is shown. */
export const shopEvents = sqliteTable('shop_events', {
  id: integer().primaryKey({ autoIncrement: true }),
  at: time().notNull(),
  /** Who did it; empty for the program. */
  personId: text().notNull(),
  kind: text({ enum: Object.keys(SHOP_EVENTS) as [keyof typeof SHOP_EVENTS, ...(keyof typeof SHOP_EVENTS)[]] }).notNull(),
  /** The person, token or backup that it is about; empty for the shop. */
  about: text().notNull(),
  lines: text({ mode: 'json' }).notNull(),
});

/** What scripts and instruments come in by; kept hashed. */
export const apiTokens = sqliteTable('api_tokens', {
  id: id(),
  name: text().notNull(),
  scope: text({ enum: TOKEN_SCOPES }).notNull(),
  hash: text().notNull().unique(),
  at: time().notNull(),
  personId: text().notNull(),
  lastUsedAt: time(),
  withdrawnAt: time(),
});

/** Backups that were made, good or not. */
export const backups = sqliteTable('backups', {
  id: id(),
  at: time().notNull(),
  /** Who asked for it; empty for the program. */
  personId: text().notNull(),
  path: text().notNull(),
  bytes: integer().notNull(),
  /** When all of it was read again and found whole; null where it was not. */
  verifiedAt: time(),
  fault: text(),
});
