import { randomUUID } from 'node:crypto';
import { and, asc, between, count, desc, eq, inArray, isNull, max, ne, or, type SQL, sql } from 'drizzle-orm';
import { type Customer, type Entered, ERASED, mergedFrom, sayChanged } from '@/core/customer/customer';
import { quoteState } from '@/core/quote/quote';
import { fail, ok, type Result } from '@/core/result';
import type { Db, Reader, Tx } from '../engine/connection';
import { unitsOfCustomer } from '../rack/rack';
import { toQuote } from '../records/quote';
import { approvals, bills, customerEvents, customers, jobs, outbox, payments, people, quotes, timers, unitEvents, units } from '../tables';

/** Who changes a customer, and when, ms since 1970. */
type By = { readonly personId: string; readonly at: number };

const SHOWN = 60;

/** Customers whose name, telephone or mail holds every word of a text, by name; how many there are in all. Empty text: those who came last. */
export async function findCustomers(db: Reader, text: string): Promise<Found> {
  const words = text
    .slice(0, 200)
    .split(/[\s"]+/)
    .filter((w) => /[\p{L}\p{N}]/u.test(w));
  if (words.length === 0 && text !== '') return { found: [], inAll: 0 };
  return words.length === 0
    ? listed(db, LIVE, desc(customers.createdAt))
    : listed(db, and(LIVE, sql`${customers.id} in (${hitsOf(words)})`), asc(customers.name));
}
type Found = { readonly found: readonly Customer[]; readonly inAll: number };

const LIVE = and(isNull(customers.mergedInto), isNull(customers.erasedAt));
const listed = async (db: Reader, where: SQL | undefined, order: SQL): Promise<Found> => {
  const [found, [all]] = await Promise.all([
    db.select(CUSTOMER).from(customers).where(where).orderBy(order).limit(SHOWN),
    db.select({ inAll: count() }).from(customers).where(where),
  ]);
  return { found, inAll: all?.inAll ?? 0 };
};
const CUSTOMER = {
  id: customers.id,
  name: customers.name,
  phone: customers.phone,
  mail: customers.mail,
  address: customers.address,
  editedAt: customers.editedAt,
  mergedInto: customers.mergedInto,
  erasedAt: customers.erasedAt,
};
/** As units are found: a word of three letters or more may stand anywhere, with shorter ones among them each begins a word. */
const hitsOf = (words: readonly string[]) =>
  words.every((w) => [...w].length >= 3)
    ? sql`select id from customer_grams where customer_grams match ${words.map((w) => `"${w}"`).join(' ')}`
    : sql`select id from customer_words where customer_words match ${words.map((w) => `"${w}"*`).join(' ')}`;

/** A customer, undefined where there is none; one that turned out to be another is that one. */
export async function customerOf(db: Reader, id: string): Promise<Customer | undefined> {
  const [row] = await db.select(CUSTOMER).from(customers).where(eq(customers.id, id));
  return row?.mergedInto == null ? row : customerOf(db, row.mergedInto);
}

/** All that a customer's page shows: their units, the newest first, with how many there are, their quotes, messages and history. */
export async function pageOf(db: Reader, customerId: string, now: number) {
  const [theirs, asked, shown, [all], history] = await Promise.all([
    unitsOfCustomer(db, customerId),
    quotesOf(db, customerId, now),
    db
      .select({ id: outbox.id, at: outbox.at, text: outbox.text, state: outbox.state, tagNo: units.tagNo })
      .from(outbox)
      .innerJoin(units, eq(outbox.unitId, units.id))
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .where(eq(jobs.customerId, customerId))
      .orderBy(desc(outbox.at))
      .limit(SHOWN),
    db
      .select({ n: count() })
      .from(outbox)
      .innerJoin(units, eq(outbox.unitId, units.id))
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .where(eq(jobs.customerId, customerId)),
    db
      .select({ id: customerEvents.id, at: customerEvents.at, by: people.name, what: customerEvents.what })
      .from(customerEvents)
      .leftJoin(people, eq(customerEvents.personId, people.id))
      .where(eq(customerEvents.customerId, customerId))
      .orderBy(desc(customerEvents.at)),
  ]);
  return { units: theirs, quotes: asked, messages: { shown, inAll: all?.n ?? 0 }, history };
}

/** A customer's quotes, the newest first, each with how it stands. */
const quotesOf = async (db: Reader, customerId: string, now: number) => {
  const rows = await db
    .select({ quote: quotes, tagNo: units.tagNo, exit: units.exit })
    .from(quotes)
    .innerJoin(units, eq(quotes.unitId, units.id))
    .innerJoin(jobs, eq(units.jobId, jobs.id))
    .where(eq(jobs.customerId, customerId))
    .orderBy(desc(quotes.at));
  return rows.map(({ quote: row, tagNo, exit }) => {
    const quote = toQuote(row);
    const ofUnit = rows.filter((r) => r.quote.unitId === row.unitId).map((r) => toQuote(r.quote));
    return { quote, tagNo, state: quoteState(quote, ofUnit.toReversed(), exit !== null, now) };
  });
};

export type CustomerError =
  | { readonly code: 'no-such-customer' | 'changed' | 'nothing' | 'in-shop' | 'owes' | 'other-name' }
  | { readonly code: 'known'; readonly name: string };
export const sayCustomerError = (e: CustomerError): string => {
  switch (e.code) {
    case 'no-such-customer':
      return 'There is no such customer, or not any more.';
    case 'changed':
      return 'Somebody has changed this customer since you looked. Load the page anew.';
    case 'nothing':
      return 'Nothing is otherwise than it was.';
    case 'in-shop':
      return 'A unit of theirs is in the shop: it is handed over first.';
    case 'owes':
      return 'A bill of theirs is open: it is settled first.';
    case 'other-name':
      return 'That is not their name: nobody was erased.';
    case 'known':
      return `${e.name} has this name and telephone already: make one of the two.`;
  }
};

/** Changes a customer in place: whoever looks at one of their units sees it at once. @param seen when it was last changed, as it was shown */
export const editCustomer = (db: Db, by: By, id: string, seen: number | null, is: Entered): Promise<Result<null, CustomerError>> =>
  db.transaction(async (tx) => {
    const [was] = await tx.select(CUSTOMER).from(customers).where(eq(customers.id, id));
    if (was === undefined || isGone(was)) return fail({ code: 'no-such-customer' });
    if (was.editedAt !== seen) return fail({ code: 'changed' });
    const what = sayChanged(was, is);
    if (what === '') return fail({ code: 'nothing' });
    const [same] = await tx
      .select({ id: customers.id, name: customers.name })
      .from(customers)
      .where(and(eq(customers.name, is.name), eq(customers.phone, is.phone), isNull(customers.mergedInto), isNull(customers.erasedAt)));
    if (same !== undefined && same.id !== id) return fail({ code: 'known', name: same.name });
    await tx
      .update(customers)
      .set({ ...is, editedAt: await nextEdit(tx, by.at) })
      .where(eq(customers.id, id));
    await tell(tx, by, id, what);
    return ok(null);
  });

const isGone = (c: Customer): boolean => c.mergedInto !== null || c.erasedAt !== null;

/** Makes one customer of two: units, quotes and messages of the one are the other's, and who books it in again gets the other. */
export const mergeCustomers = (db: Db, by: By, fromId: string, intoId: string): Promise<Result<null, CustomerError>> =>
  db.transaction(async (tx) => {
    const both = await tx
      .select(CUSTOMER)
      .from(customers)
      .where(inArray(customers.id, [fromId, intoId]));
    const [from, into] = [fromId, intoId].map((id) => both.find((c) => c.id === id));
    if (from === undefined || into === undefined || isGone(from) || isGone(into) || fromId === intoId)
      return fail({ code: 'no-such-customer' });
    const editedAt = await nextEdit(tx, by.at);
    await tx.update(bills).set({ customerId: intoId }).where(eq(bills.customerId, fromId));
    await tx.update(jobs).set({ customerId: intoId }).where(eq(jobs.customerId, fromId));
    await tx
      .update(customers)
      .set({ mergedInto: intoId })
      .where(or(eq(customers.id, fromId), eq(customers.mergedInto, fromId)));
    await tx
      .update(customers)
      .set({ ...mergedFrom(into, from), editedAt })
      .where(eq(customers.id, intoId));
    await tell(tx, by, intoId, `made one with ${said(from)}`);
    await tell(tx, by, fromId, `made one with ${said(into)}`);
    return ok(null);
  });
const said = ({ name, phone }: Entered): string => [name, phone].filter((t) => t !== '').join(', ');

/**
 * Erases a customer on their request: name, telephone, mail and address, in all that was written to them or of them, and what the history
 * says. What stays is `WHAT_STAYS`. Refused while a unit of theirs is in the shop, or money is owed.
 */
export const eraseCustomer = (db: Db, by: By, id: string, name: string): Promise<Result<null, CustomerError>> =>
  db.transaction(async (tx) => {
    const [was] = await tx.select(CUSTOMER).from(customers).where(eq(customers.id, id));
    if (was === undefined || isGone(was)) return fail({ code: 'no-such-customer' });
    if (was.name !== name) return fail({ code: 'other-name' });
    const all = await tx
      .select(CUSTOMER)
      .from(customers)
      .where(or(eq(customers.id, id), eq(customers.mergedInto, id)));
    const theirs = tx.select({ id: units.id }).from(units).innerJoin(jobs, eq(units.jobId, jobs.id)).where(eq(jobs.customerId, id));
    const [here] = await tx
      .select({ n: count() })
      .from(units)
      .where(and(inArray(units.id, theirs), isNull(units.exit)));
    if ((here?.n ?? 0) > 0) return fail({ code: 'in-shop' });
    if ((await owedBy(tx, id)) !== 0) return fail({ code: 'owes' });
    // What has not gone does not go any more.
    const over = sql`case when ${outbox.state} = 'sent' then 'sent' else 'read' end`;
    await tx
      .update(outbox)
      .set({ to: ERASED, text: '', subject: '', mail: '', state: over, nextAt: null })
      .where(inArray(outbox.unitId, theirs));
    await tx.update(approvals).set({ text: '' }).where(inArray(approvals.unitId, theirs));
    await tx.update(quotes).set({ words: '', questions: [] }).where(inArray(quotes.unitId, theirs));
    // What people wrote is only known by the names in it.
    for (const of of all.flatMap((c) => [c.name, c.mail, c.phone]).filter((t) => t.length >= SAYS_WHO)) {
      await tx
        .update(timers)
        .set({ label: sql`replace(${timers.label}, ${of}, ${ERASED})` })
        .where(inArray(timers.unitId, theirs));
      await tx
        .update(unitEvents)
        .set({
          note: sql`replace(${unitEvents.note}, ${of}, ${ERASED})`,
          payload: sql`replace(${unitEvents.payload}, ${JSON.stringify(of).slice(1, -1)}, ${ERASED})`,
        })
        .where(inArray(unitEvents.unitId, theirs));
    }
    const ids = all.map((c) => c.id);
    await tx.update(customerEvents).set({ what: 'erased' }).where(inArray(customerEvents.customerId, ids));
    const erased = { name: ERASED, phone: '', mail: '', address: '', erasedAt: by.at };
    await tx.update(customers).set(erased).where(inArray(customers.id, ids));
    await tx
      .update(customers)
      .set({ editedAt: await nextEdit(tx, by.at) })
      .where(eq(customers.id, id));
    await tell(tx, by, id, 'erased on their request');
    return ok(null);
  });
/** Shorter words stand in others. */
const SAYS_WHO = 4;

/** Later than every edit before: a unit that was kept is told by it. */
const nextEdit = async (tx: Tx, at: number): Promise<number> => {
  const [last] = await tx.select({ at: max(customers.editedAt) }).from(customers);
  return Math.max(at, (last?.at ?? 0) + 1);
};

const tell = async (tx: Tx, { personId, at }: By, customerId: string, what: string): Promise<void> => {
  await tx.insert(customerEvents).values({ id: randomUUID(), customerId, at, personId, what });
};

/** Customers with the same telephone as one, or a name that begins as theirs does: perhaps the same. */
export async function alikeTo(db: Reader, c: Customer): Promise<Found> {
  const begins = c.name.slice(0, Math.ceil(c.name.length * ALIKE));
  const named = and(
    between(customers.name, begins, `${begins}\uffff`),
    between(sql`length(${customers.name})`, c.name.length - FEW, c.name.length + FEW),
  );
  const alike = or(named, c.phone === '' ? undefined : eq(customers.phone, c.phone));
  return listed(db, and(LIVE, ne(customers.id, c.id), alike), asc(customers.name));
}
/** How much of a name must be the same, from its beginning, and how many letters one may have more than the other. */
const ALIKE = 0.75;
const FEW = 4;

/** What a customer owes, or is owed, cents. */
const owedBy = async (db: Reader, customerId: string): Promise<number> => {
  const ofThem = eq(bills.customerId, customerId);
  const [[billed], [paid]] = await Promise.all([
    db
      .select({ cents: sql<number>`coalesce(sum(${bills.totalCents}), 0)` })
      .from(bills)
      .where(ofThem),
    db
      .select({ cents: sql<number>`coalesce(sum(${payments.cents}), 0)` })
      .from(payments)
      .innerJoin(bills, eq(payments.bill, bills.number))
      .where(ofThem),
  ]);
  return (billed?.cents ?? 0) - (paid?.cents ?? 0);
};
