import { and, asc, desc, eq, gte, inArray, lt, max } from 'drizzle-orm';
import { z } from 'zod';
import { type Bill, type BillWay, creditOf, openOf, type Payment, type PaymentHow, standingBill } from '@/core/bill/bill';
import { billWay } from '@/core/bill/bill-lines';
import { type ChargeLine, chargesOf } from '@/core/cost/charge';
import { ChargesSchema } from '@/core/cost/charge-schema';
import type { Price } from '@/core/cost/price';
import { mends } from '@/core/quote/option-kind';
import { pickedOf } from '@/core/quote/quote';
import { fail, ok, type Result } from '@/core/result';
import { stored } from '@/core/schema/stored';
import { customersUnit } from '@/core/unit/customers-unit';
import type { UnitRecord } from '@/core/unit/unit-record';
import { moveShelf } from '../cost/prices';
import { customerOf } from '../customer/customers';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader, Tx } from '../engine/connection';
import { bills, payments } from '../tables';

const Charges = stored(ChargesSchema);
const Texts = z.array(z.string());

const toBill = (row: typeof bills.$inferSelect): Bill => {
  const { kind, of, reason, eventId: _, totalCents: __, ...rest } = row;
  const bill = { ...rest, to: Texts.parse(row.to), way: row.way as BillWay, charges: Charges.parse(row.charges) };
  return kind === 'credit' ? { ...bill, kind, of: of ?? 0, reason } : { ...bill, kind };
};

/** The next number: inside a transaction nobody else takes it, and what is refused uses none. */
const nextNumber = async (tx: Tx): Promise<number> => {
  const [last] = await tx.select({ number: max(bills.number) }).from(bills);
  return (last?.number ?? 0) + 1;
};

/** Hands a unit that has left over, and bills it: paid at once, or on account. One bill of a unit stands at a time. */
export const makeBill = (
  db: Db,
  change: Change,
  b: { readonly lines: readonly ChargeLine[]; readonly handedTo: string; readonly paid: PaymentHow | 'account' },
  prices: readonly Price[],
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const { unit, job } = record;
    if (unit.exit === null) return refused('It has not left the shop yet: release it, or note that it is given back, first.');
    const standing = standingBill(await billsOfUnit(tx, unit.id));
    if (standing !== undefined) return refused(`Bill ${standing.number} stands: a credit note takes it back first.`);
    const charges = chargesOf(b.lines, prices);
    const number = await nextNumber(tx);
    const customer = await customerOf(tx, job.customerId);
    const to = [job.customer, ...(customer?.address ?? '').split('\n')].map((t) => t.trim()).filter((t) => t !== '');
    await tx.insert(bills).values({
      number,
      eventId: change.eventId,
      unitId: unit.id,
      customerId: job.customerId,
      at,
      personId: change.person.id,
      kind: 'bill',
      to,
      ...customersUnit(record),
      way: billWay(record),
      charges,
      totalCents: charges.total,
      handedTo: b.handedTo,
    });
    await shelfOf(tx, change, at, record, 'sold');
    if (b.paid !== 'account' && charges.total !== 0)
      await tx
        .insert(payments)
        .values({ id: `${change.eventId}-paid`, bill: number, at, personId: change.person.id, cents: charges.total, how: b.paid });
    return ok([]);
  });

/** What the customer picked in place of their unit leaves the shelf with the bill, and comes back with its credit note. */
const shelfOf = async (tx: Tx, change: Change, at: number, { quotes }: UnitRecord, how: 'sold' | 'back'): Promise<void> => {
  const quote = quotes.at(-1);
  const picked = quote === undefined ? undefined : pickedOf(quote);
  if (picked !== undefined && !mends(picked.kind)) await moveShelf(tx, { personId: change.person.id, at }, picked.id, how);
};

/** Takes all of a bill back by a credit note with a number of its own. */
export const creditBill = (db: Db, change: Change, number: number, reason: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const all = await billsOfUnit(tx, record.unit.id);
    const bill = all.find((b) => b.number === number && b.kind === 'bill');
    if (bill === undefined) return refused('This unit has no such bill.');
    if (standingBill(all)?.number !== number) return refused('A credit note has taken it back already.');
    const { customerId, to, tag, unit, machine, way, charges, handedTo } = bill;
    await tx.insert(bills).values({
      number: await nextNumber(tx),
      eventId: change.eventId,
      unitId: record.unit.id,
      customerId,
      at,
      personId: change.person.id,
      kind: 'credit',
      of: number,
      reason,
      to,
      tag,
      unit,
      machine,
      way,
      charges: creditOf(charges),
      totalCents: -charges.total,
      handedTo,
    });
    await shelfOf(tx, change, at, record, 'back');
    return ok([]);
  });

/** Notes what was paid on a bill, never more than is open; below 0 what was given back. @param id of the payment: sent twice, it is noted once */
export const payBill = (
  db: Db,
  by: { readonly personId: string; readonly at: number },
  p: { readonly id: string; readonly number: number; readonly cents: number; readonly how: PaymentHow },
): Promise<Result<null, string>> =>
  db.transaction(async (tx) => {
    const [known] = await tx.select().from(payments).where(eq(payments.id, p.id));
    if (known !== undefined)
      return known.bill === p.number && known.cents === p.cents
        ? ok(null)
        : fail('That number belongs to another payment. Load the page anew.');
    const [row] = await tx.select().from(bills).where(eq(bills.number, p.number));
    if (row === undefined || row.kind === 'credit') return fail('There is no such bill.');
    const bill = toBill(row);
    const open = openOf(bill, await billsOfUnit(tx, bill.unitId), await paymentsOf(tx, [bill]));
    if (open === 0) return fail('Nothing is open on it.');
    if (Math.sign(p.cents) !== Math.sign(open) || Math.abs(p.cents) > Math.abs(open)) return fail('That is more than is open on it.');
    await tx.insert(payments).values({ id: p.id, bill: p.number, ...by, cents: p.cents, how: p.how });
    return ok(null);
  });

/** Bills and credit notes of a unit, oldest first. */
export const billsOfUnit = async (db: Reader, unitId: string): Promise<readonly Bill[]> =>
  (await db.select().from(bills).where(eq(bills.unitId, unitId)).orderBy(asc(bills.number))).map(toBill);

export const billsOfCustomer = async (db: Reader, customerId: string): Promise<readonly Bill[]> =>
  (await db.select().from(bills).where(eq(bills.customerId, customerId)).orderBy(desc(bills.number))).map(toBill);

export const billOfNumber = async (db: Reader, number: number): Promise<Bill | undefined> => {
  const [row] = await db.select().from(bills).where(eq(bills.number, number));
  return row === undefined ? undefined : toBill(row);
};

/** What was given out from one moment to before another, by number. */
export const billsBetween = async (db: Reader, from: number, until: number): Promise<readonly Bill[]> =>
  (
    await db
      .select()
      .from(bills)
      .where(and(gte(bills.at, from), lt(bills.at, until)))
      .orderBy(asc(bills.number))
  ).map(toBill);

/** Payments on some bills, oldest first. */
export const paymentsOf = async (db: Reader, on: readonly Pick<Bill, 'number'>[]): Promise<readonly Payment[]> =>
  on.length === 0
    ? []
    : db
        .select({ id: payments.id, bill: payments.bill, at: payments.at, cents: payments.cents, how: payments.how })
        .from(payments)
        .where(
          inArray(
            payments.bill,
            on.map((b) => b.number),
          ),
        )
        .orderBy(asc(payments.at));
