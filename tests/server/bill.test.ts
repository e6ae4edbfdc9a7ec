import { beforeAll, describe, expect, test } from 'vitest';
import { openOf, type PaymentHow, standingBill } from '@/core/bill/bill';
import { billLines } from '@/core/bill/bill-lines';
import { monthOf } from '@/core/bill/month';
import { type ChargeLine, chargesOf } from '@/core/cost/charge';
import { type Price, priceKey } from '@/core/cost/price';
import { FAMILIES } from '@/core/family/families';
import { knownOf } from '@/core/plan/known';
import { centsOf } from '@/core/quantity/cents';
import type { Result } from '@/core/result';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { STANDARD_SHOP } from '@/core/shop/settings';
import { billOfNumber, billsOfUnit, creditBill, makeBill, payBill, paymentsOf } from '@/db/bill/bills';
import { monthsOf, owing } from '@/db/bill/months';
import { pricesInForce, setPrices } from '@/db/cost/prices';
import { customerFile } from '@/db/customer/customer-file';
import { eraseCustomer } from '@/db/customer/customers';
import { answerQuote, makeQuote } from '@/db/quote/quotes';
import { wholeStore } from '@/db/store/catalogue';
import { bills } from '@/db/tables';
import { leave } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop, START } from './shop';

// Handing over, and what is paid for it.

const PRICES: readonly Price[] = [
  { what: 'tax', name: 'VAT', on: null, pct: 20 },
  { what: 'rounding', cents: 5 },
  { what: 'work', family: null, way: null, station: 'prove', cents: 2200 },
];
const LINES: readonly ChargeLine[] = [
  { charge: 'parts', words: 'K-131', how: '', cents: 1068, costCents: 890 },
  { charge: 'work', words: 'the whole job', how: '', cents: 9000, minutes: 90 },
];
let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const gone = async (customer: string): Promise<string> => {
  const unitId = await shop.book({ customer });
  await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
  return unitId;
};
const bill = async (unitId: string, paid: PaymentHow | 'account' = 'account', lines = LINES) =>
  makeBill(
    shop.db,
    await shop.change(unitId, 'billed', PEOPLE.counter, { version: null }),
    { lines, handedTo: 'the driver', paid },
    PRICES,
  );
const credit = async (unitId: string, number: number) =>
  creditBill(shop.db, await shop.change(unitId, 'credited', PEOPLE.counter), number, 'a line too many');
let pays = 0;
const pay = (number: number, cents: number) => {
  pays += 1;
  return payBill(shop.db, { personId: PEOPLE.counter.id, at: START }, { id: `pay-${pays}`, number, cents, how: 'cash' });
};
const reasons = (r: Result<unknown, { readonly code: string }>): readonly string[] =>
  r.ok ? [] : ((r.error as { readonly reasons?: readonly string[] }).reasons ?? [r.error.code]);
const of = (unitId: string) => billsOfUnit(shop.db, unitId);
const open = async (unitId: string): Promise<number> => {
  const all = await of(unitId);
  return openOf(all[0] as never, all, await paymentsOf(shop.db, all));
};

test('only what has left is billed, once; what it comes to adds up in whole cents', async () => {
  const unitId = await shop.book();
  expect(reasons(await bill(unitId))).toEqual(['It has not left the shop yet: release it, or note that it is given back, first.']);
  await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
  expect((await bill(unitId)).ok).toBe(true);
  const [made] = await of(unitId);
  // 100.68 without tax, 20 % of it 20.136: 120.82, to be paid 120.80.
  expect(made).toMatchObject({
    kind: 'bill',
    way: 'give-back',
    handedTo: 'the driver',
    charges: { net: 10_068, rounding: -2, total: 12_080 },
  });
  expect(reasons(await bill(unitId))).toEqual([`Bill ${made?.number} stands: a credit note takes it back first.`]);
});

test('numbers neither repeat nor skip: of many at once, refused ones, repeated ones and credit notes', async () => {
  const units = [];
  for (let i = 0; i < 6; i++) units.push(await gone(`Crowd ${i}`));
  const changes = await Promise.all(units.map((id) => shop.change(id, 'billed', PEOPLE.counter)));
  const make = (i: number) => makeBill(shop.db, changes[i] as never, { lines: LINES, handedTo: 'x', paid: 'account' }, PRICES);
  await Promise.all([0, 1, 2, 0, 3, 1, 4, 5].map(make));
  await bill(units[0] as string);
  const [first] = await of(units[0] as string);
  await Promise.all([credit(units[0] as string, first?.number ?? 0), credit(units[0] as string, first?.number ?? 0)]);
  expect((await bill(units[0] as string)).ok).toBe(true);
  const numbers = (await shop.db.select({ n: bills.number }).from(bills)).map((b) => b.n).toSorted((a, b) => a - b);
  expect(numbers).toEqual(numbers.map((_, i) => i + 1));
  expect((await of(units[0] as string)).map((b) => b.kind)).toEqual(['bill', 'credit', 'bill']);
});

describe('what is paid', () => {
  test('at once is settled; on account it is owed until it is paid, in parts and never more', async () => {
    const [now, later] = [await gone('Prompt'), await gone('Slow')];
    await bill(now, 'card');
    await bill(later);
    expect([await open(now), await open(later)]).toEqual([0, 12_080]);
    const number = (await of(later))[0]?.number ?? 0;
    expect((await pay(number, 12_081)).ok).toBe(false);
    expect((await pay(number, -5)).ok).toBe(false);
    expect((await pay(number, 2080)).ok).toBe(true);
    expect(await open(later)).toBe(10_000);
    const { customerId } = (await shop.record(later)).job;
    expect((await owing(shop.db)).find((o) => o.customerId === customerId)).toMatchObject({ name: 'Slow', cents: 10_000 });
    const by = { personId: PEOPLE.owner.id, at: START };
    expect(await eraseCustomer(shop.db, by, customerId, 'Slow')).toEqual({ ok: false, error: { code: 'owes' } });
    const [a, b] = await Promise.all([pay(number, 10_000), pay(number, 10_000)]);
    expect([a.ok, b.ok].filter((ok) => ok)).toHaveLength(1);
    expect(await open(later)).toBe(0);
    expect((await owing(shop.db)).some((o) => o.customerId === customerId)).toBe(false);
  });

  test('sent twice is noted once', async () => {
    const unitId = await gone('Double');
    await bill(unitId);
    const number = (await of(unitId))[0]?.number ?? 0;
    const twice = { id: 'the-same-payment', number, cents: 80, how: 'cash' as const };
    const by = { personId: PEOPLE.counter.id, at: START };
    expect([(await payBill(shop.db, by, twice)).ok, (await payBill(shop.db, by, twice)).ok]).toEqual([true, true]);
    expect((await payBill(shop.db, by, { ...twice, cents: 90 })).ok).toBe(false);
    expect(await open(unitId)).toBe(12_000);
  });

  test('on a bill that is taken back is given back; a credit note is not paid, and takes back no bill of another unit', async () => {
    const [unitId, other] = [await gone('Mistaken'), await gone('Bystander')];
    await bill(unitId, 'cash');
    const number = (await of(unitId))[0]?.number ?? 0;
    expect(reasons(await credit(other, number))).toEqual(['This unit has no such bill.']);
    expect((await credit(unitId, number)).ok).toBe(true);
    const [first, note] = await of(unitId);
    expect(note).toMatchObject({ kind: 'credit', of: number, charges: { net: -10_068, total: -12_080 } });
    expect(standingBill(await of(unitId))).toBeUndefined();
    expect(await open(unitId)).toBe(-12_080);
    expect((await pay(note?.number ?? 0, -12_080)).ok).toBe(false);
    expect((await pay(number, -12_080)).ok).toBe(true);
    expect(await open(unitId)).toBe(0);
    // What was given out is as it was.
    expect(await billOfNumber(shop.db, number)).toEqual(first);
  });
});

test('a unit from the own shelf that was picked leaves it with the bill, and is back with the credit note', async () => {
  const line: Price = {
    what: 'exchange',
    number: 'X-1',
    family: 'wheel-double',
    boreMm: null,
    fitment: null,
    supplier: '',
    stock: 2,
    days: 0,
    cents: 5800,
  };
  const by = { personId: PEOPLE.owner.id, at: START };
  await shop.db.transaction((tx) => setPrices(tx, by, 'a shelf', [...PRICES, line]));
  const stock = async () => (await pricesInForce(shop.db)).prices.flatMap((p) => ('stock' in p ? [p.stock] : []));
  const unitId = await shop.book({ customer: 'Swapper' });
  const charges = chargesOf([{ charge: 'units', words: 'exchange unit X-1', how: '', cents: 5800 }], PRICES);
  const options = [{ id: priceKey(line), kind: 'exchange' as const, words: 'exchange unit X-1', readyAt: null, charges }];
  const quoted = await shop.change(unitId, 'quoted', PEOPLE.counter);
  await makeQuote(shop.db, quoted, { options, words: 'Another one for yours.', validUntil: START + 9e9, key: 'a-key' }, '');
  const change = await shop.change(unitId, 'quote-answered', PEOPLE.counter);
  await answerQuote(shop.db, change, quoted.eventId, { said: 'picks', option: priceKey(line) });
  await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'scrapped');
  expect((await bill(unitId)).ok).toBe(true);
  expect([(await of(unitId))[0]?.way, await stock()]).toEqual(['exchange', [1]]);
  await credit(unitId, (await of(unitId))[0]?.number ?? 0);
  expect(await stock()).toEqual([2]);
});

test('a bill begins with what was done and used: its bags with the mark-up, each station by its price or its time', async () => {
  const unitId = await shop.at('release');
  await shop.worker(unitId).release();
  const record = await shop.record(unitId);
  const costs = new Map((await wholeStore(shop.db, START)).map((a) => [a.id, a.price]));
  const known = knownOf(FAMILIES[record.unit.family], [], []);
  const lines = billLines(record, { rules: STANDARD_RULES, prices: PRICES, known, priceOf: (id) => costs.get(id) });
  const bag = record.setAside[0];
  const price = costs.get(bag?.articleId ?? '') ?? 0;
  expect(price).toBeGreaterThan(0);
  expect(lines.find((l) => l.charge === 'parts')).toMatchObject({ cents: centsOf(price * 1.2), costCents: centsOf(price) });
  expect(lines.find((l) => l.words === 'Prove')).toMatchObject({ charge: 'work', cents: 2200 });
  const strip = lines.find((l) => l.words === 'Strip');
  expect(strip?.cents).toBe(centsOf(strip?.minutes ?? 0));
  expect(lines.filter((l) => l.charge === 'work').map((l) => l.words)).not.toContain('Book in');
});

test('a month holds its units, its bills less its credit notes, and what is owed at its end', async () => {
  const [bought] = await monthsOf(shop.db, { ...STANDARD_SHOP, timeZone: 'UTC' }, START + 20 * 86_400_000, 2);
  const all = (await shop.db.select().from(bills)).map((b) => b.totalCents);
  expect(bought?.from).toBe(Date.UTC(2026, 4, 1));
  expect(bought?.cameIn).toBeGreaterThan(8);
  expect(bought?.workedH).toBeGreaterThan(100);
  const paid = (
    await paymentsOf(
      shop.db,
      (await shop.db.select({ number: bills.number }).from(bills)).map((b) => b),
    )
  ).reduce((s, p) => s + p.cents, 0);
  expect(bought?.owedCents).toBe(all.reduce((s, c) => s + c, 0) - paid);
  const charges = chargesOf(LINES, PRICES);
  expect(bought?.net).toBe((all.filter((c) => c > 0).length - all.filter((c) => c < 0).length) * charges.net);
  expect(bought?.parts.cents).toBe(((bought?.parts.costCents ?? 0) / 890) * 1068);
  expect(monthOf({ from: 0, cameIn: 0, left: 0, workedH: 0, owedCents: 0, bills: [] })).toMatchObject({ net: 0, soldH: 0, byWay: [] });
});

test('what a customer is given of their bills does not say what the shop itself paid', async () => {
  const unitId = await gone('Curious');
  await bill(unitId);
  const file = JSON.stringify(await customerFile(shop.db, (await shop.record(unitId)).job.customerId, START));
  expect(file).toContain('the whole job');
  expect(file).not.toContain('costCents');
});
