import { index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { verdicts } from './bore';
import { id, time } from './columns';
import { ofUnit } from './units';

/** A question to the customer about a judgement, and the answer. `price` is what is added, in the shop's money. */
export const approvals = sqliteTable(
  'approvals',
  {
    id: id(),
    unitId: ofUnit(),
    verdictId: text()
      .notNull()
      .references(() => verdicts.id),
    at: time().notNull(),
    personId: text().notNull(),
    price: real().notNull(),
    promisedAt: time().notNull(),
    text: text().notNull(),
    answer: text({ enum: ['yes', 'no'] }),
    answeredAt: time(),
    answeredTo: text(),
  },
  (t) => [index('approvals_unit').on(t.unitId)],
);

/** Quotes as they went out. `key` is what the address of the customer's page ends in. */
export const quotes = sqliteTable(
  'quotes',
  {
    id: id(),
    unitId: ofUnit(),
    at: time().notNull(),
    personId: text().notNull(),
    validUntil: time().notNull(),
    words: text().notNull(),
    options: text({ mode: 'json' }).notNull(),
    key: text().notNull().unique(),
    questions: text({ mode: 'json' }).notNull(),
    answer: text({ mode: 'json' }),
  },
  (t) => [index('quotes_unit').on(t.unitId)],
);

/** Messages to customers. The stand-in only keeps them here; a page shows them. */
export const outbox = sqliteTable(
  'outbox',
  { id: id(), unitId: ofUnit(), at: time().notNull(), to: text().notNull(), text: text().notNull() },
  (t) => [index('outbox_at').on(t.at)],
);
