import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { PAYMENTS } from '@/core/bill/bill';
import { MESSAGE_STATES } from '@/core/message/message';
import { verdicts } from './bore';
import { id, time } from './columns';
import { customers, ofUnit } from './units';

/** Who changed what of a customer, and when; `what` says it as it is shown. */
export const customerEvents = sqliteTable(
  'customer_events',
  {
    id: id(),
    customerId: text()
      .notNull()
      .references(() => customers.id),
    at: time().notNull(),
    personId: text().notNull(),
    what: text().notNull(),
  },
  (t) => [index('customer_events_customer').on(t.customerId)],
);

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

/** Messages to customers, by mail or to be read out. */
export const outbox = sqliteTable(
  'outbox',
  {
    id: id(),
    unitId: ofUnit(),
    at: time().notNull(),
    to: text().notNull(),
    text: text().notNull(),
    subject: text().notNull().default(''),
    /** Where it goes by mail; empty: it is read out. */
    mail: text().notNull().default(''),
    state: text({ enum: MESSAGE_STATES }).notNull().default('to-read'),
    /** How often it was tried, and when it is tried next, or was begun to be sent. */
    tries: integer().notNull().default(0),
    nextAt: time(),
    /** When it was sent or read out, and by whom it was read. */
    doneAt: time(),
    doneBy: text(),
    /** Why it did not go. */
    fault: text().notNull().default(''),
  },
  (t) => [index('outbox_at').on(t.at), index('outbox_due').on(t.state, t.nextAt), index('outbox_unit').on(t.unitId)],
);

/** Bills and credit notes, numbered one after another without a gap. Never edited. Money in whole cents. */
export const bills = sqliteTable(
  'bills',
  {
    number: integer().primaryKey(),
    /** That of the change that made it. */
    eventId: text().notNull().unique(),
    unitId: ofUnit(),
    customerId: text()
      .notNull()
      .references(() => customers.id),
    at: time().notNull(),
    personId: text().notNull(),
    kind: text({ enum: ['bill', 'credit'] }).notNull(),
    /** The bill that a credit note takes back, and why. */
    of: integer(),
    reason: text().notNull().default(''),
    to: text({ mode: 'json' }).notNull(),
    tag: text().notNull(),
    unit: text().notNull(),
    machine: text().notNull(),
    way: text().notNull(),
    charges: text({ mode: 'json' }).notNull(),
    /** Of the charges; below 0 on a credit note. */
    totalCents: integer().notNull(),
    handedTo: text().notNull(),
  },
  (t) => [index('bills_unit').on(t.unitId), index('bills_customer').on(t.customerId), index('bills_at').on(t.at)],
);

/** What was paid on bills; below 0 where it was given back. */
export const payments = sqliteTable(
  'payments',
  {
    id: id(),
    bill: integer()
      .notNull()
      .references(() => bills.number),
    at: time().notNull(),
    personId: text().notNull(),
    cents: integer().notNull(),
    how: text({ enum: PAYMENTS }).notNull(),
  },
  (t) => [index('payments_bill').on(t.bill), index('payments_at').on(t.at)],
);
