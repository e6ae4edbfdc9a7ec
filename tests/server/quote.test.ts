import { beforeAll, describe, expect, test } from 'vitest';
import { chargesOf } from '@/core/cost/charge';
import { THE_CUSTOMER } from '@/core/people/role';
import { standingOf } from '@/core/plan/standing';
import { forCustomer, type Offered, type Quote, quoteState, type Reply } from '@/core/quote/quote';
import type { Result } from '@/core/result';
import { whyNotDone } from '@/core/route/why-not';
import { factsOf } from '@/core/unit/facts-of';
import { customerFile } from '@/db/customer/customer-file';
import { messagesOf } from '@/db/customer/outbox';
import { checkPin, staff } from '@/db/people/people';
import { members, takeBack } from '@/db/people/staff';
import { answerQuote, makeQuote, newQuoteKey, quoteOfKey, replyToQuote } from '@/db/quote/quotes';
import { historyOf } from '@/db/unit/history';
import { leave } from '@/db/unit/sign-off';
import { openShop, PEOPLE, type Shop, START } from './shop';

// What is offered to a customer, and what they say to it.

const DAY_MS = 86_400_000;
let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});

const offered = (kind: Offered['kind'], cents: number, readyAt: number | null): Offered => ({
  id: kind,
  kind,
  words: kind,
  readyAt,
  charges: chargesOf([{ charge: 'work', words: 'the whole job', how: '', cents }], []),
});
const REPAIR = offered('repair', 9000, START + 3 * DAY_MS);
const SLEEVE = offered('sleeve', 21_000, START + 12 * DAY_MS);
const BACK = offered('give-back', 1500, START);
const ALL = [REPAIR, SLEEVE, BACK];

const quoted = async (unitId: string, options: readonly Offered[] = ALL, validUntil = START + 14 * DAY_MS) => {
  const key = newQuoteKey();
  const change = await shop.change(unitId, 'quoted', PEOPLE.counter);
  const words = 'This is what can be done, and what it costs.';
  const made = await makeQuote(shop.db, change, { options, words, validUntil, key }, `http://shop/quote/${key}`);
  return { key, id: change.eventId, made };
};
let said = 0;
const reply = (key: string, r: Reply, at = START + DAY_MS) => {
  said += 1;
  return replyToQuote(shop.db, { key, eventId: `said-${said}`, reply: r }, at);
};
const PICKS_REPAIR: Reply = { said: 'picks', option: '0' };
const reasons = (r: Result<unknown, { readonly code: string }>): readonly string[] =>
  r.ok ? [] : ((r.error as { readonly reasons?: readonly string[] }).reasons ?? [r.error.code]);
const newest = async (unitId: string) => (await shop.record(unitId)).quotes.at(-1);
const waits = async (unitId: string) => (await shop.record(unitId)).timers.filter((t) => t.doneAt === null).map((t) => t.label);

describe('a quote', () => {
  test('goes to the outbox with its address, is waited for, and holds the kit until it is answered; strip goes on', async () => {
    const unitId = await shop.book();
    const { key, made } = await quoted(unitId);
    expect(made.ok).toBe(true);
    const message = (await messagesOf(shop.db, 200)).shown[0]?.message;
    expect(message).toMatchObject({ to: 'Aldwater Orchards, 014', text: expect.stringContaining(`http://shop/quote/${key}`) });
    expect(await waits(unitId)).toEqual(['answer from Aldwater Orchards']);
    const record = await shop.record(unitId);
    expect(whyNotDone('kit', factsOf(record))).toContainEqual({ code: 'approval', stands: 'waiting' });
    expect(whyNotDone('strip', factsOf(record)).map((w) => w.code)).not.toContain('approval');
    // The plan knows that it waits for an answer, and holds nothing before that.
    const standing = standingOf(record, 'reuse', START + DAY_MS);
    expect([standing.answer.kind, standing.running]).toEqual(['asked', []]);
  });

  test('that the customer answers on its page is on the unit’s record, moves the promise, and lets the work go on', async () => {
    const unitId = await shop.book();
    const { key } = await quoted(unitId);
    expect((await reply(key, { said: 'asks', text: 'How long does a repair hold?' })).ok).toBe(true);
    expect(await waits(unitId)).toEqual(['answer from Aldwater Orchards', 'question from Aldwater Orchards']);
    expect((await reply(key, PICKS_REPAIR)).ok).toBe(true);
    expect(await waits(unitId)).toEqual([]);
    const record = await shop.record(unitId);
    expect(record.quotes.at(-1)).toMatchObject({
      questions: [{ text: 'How long does a repair hold?' }],
      answer: { said: 'picks', option: 'repair', by: THE_CUSTOMER.id },
    });
    expect(record.unit.dueAt).toBe(REPAIR.readyAt);
    expect(whyNotDone('kit', factsOf(record)).map((w) => w.code)).not.toContain('approval');
    expect((await historyOf(shop.db, unitId)).slice(0, 2).map((e) => [e.kind, e.by, e.note])).toEqual([
      ['quote-answered', 'the customer', ''],
      ['quote-asked', 'the customer', 'How long does a repair hold?'],
    ]);
    expect(reasons(await reply(key, { said: 'no' }))).toEqual(['It has been answered. If you have changed your mind, ring us.']);
  });

  test('sent twice is answered once; of two answers at the same time the first counts', async () => {
    const unitId = await shop.book();
    const { key } = await quoted(unitId);
    const twice = { key, eventId: 'the-same', reply: PICKS_REPAIR };
    const [a, b, c] = await Promise.all([
      replyToQuote(shop.db, twice, START + DAY_MS),
      replyToQuote(shop.db, twice, START + DAY_MS),
      reply(key, { said: 'no' }),
    ]);
    expect([a.ok, b.ok, c.ok]).toEqual([true, true, false]);
    expect((await historyOf(shop.db, unitId)).filter((e) => e.kind === 'quote-answered')).toHaveLength(1);
  });

  test('takes the place of the one before, whose address then says nothing and takes nothing', async () => {
    const unitId = await shop.book();
    const first = await quoted(unitId);
    const second = await quoted(unitId, [SLEEVE]);
    expect(await waits(unitId)).toEqual(['answer from Aldwater Orchards']);
    const { quotes } = await shop.record(unitId);
    expect(quotes.map((q) => quoteState(q, quotes, false, START + DAY_MS))).toEqual(['replaced', 'open']);
    expect(reasons(await reply(first.key, PICKS_REPAIR))).toEqual(['This quote has ended. Ask us for a new one.']);
    const change = await shop.change(unitId, 'quote-answered', PEOPLE.counter);
    expect(reasons(await answerQuote(shop.db, change, first.id, { said: 'no' }))).toEqual(['Another quote has taken its place.']);
    for (const option of ['1', '-1', '', 'sleeve', '0x0'])
      expect([option, reasons(await reply(second.key, { said: 'picks', option }))]).toEqual([option, ['That is not one of its options.']]);
    expect((await newest(unitId))?.answer).toBeNull();
  });

  test('ends on its day and when the unit leaves; one that had ended before it was sent is not sent', async () => {
    const unitId = await shop.book();
    const { key } = await quoted(unitId);
    expect(reasons(await reply(key, PICKS_REPAIR, START + 15 * DAY_MS))).toEqual(['This quote has ended. Ask us for a new one.']);
    expect(reasons((await quoted(unitId, ALL, START - 1)).made)).toEqual([
      'It would have ended before it is sent: until when does it hold?',
    ]);
    await leave(shop.db, await shop.change(unitId, 'exited', PEOPLE.lead), 'returned');
    expect((await reply(key, PICKS_REPAIR)).ok).toBe(false);
  });

  test('tells the station what was chosen: a sleeve is a yes to a sleeve, a repair is none to one found later, giving back is no work', async () => {
    const unitId = await shop.book();
    const { key } = await quoted(unitId);
    const { dueAt } = (await shop.record(unitId)).unit;
    await reply(key, { said: 'picks', option: '2' });
    expect((await shop.record(unitId)).unit.dueAt).toBe(dueAt);
    expect(factsOf(await shop.record(unitId)).approval).toBe('other');
    const { key: next } = await quoted(unitId);
    await reply(next, PICKS_REPAIR);
    expect(factsOf(await shop.record(unitId)).approval).toBe('yes');
    const { key: last } = await quoted(unitId);
    await reply(last, { said: 'no' });
    expect(factsOf(await shop.record(unitId)).approval).toBe('no');
  });

  test('takes so many questions and no more', async () => {
    const unitId = await shop.book();
    const { key } = await quoted(unitId);
    const asked = [];
    for (let i = 0; i < 21; i++) asked.push((await reply(key, { said: 'asks', text: `Question ${i}?` })).ok);
    expect(asked.filter((ok) => ok)).toHaveLength(20);
    expect(asked.at(-1)).toBe(false);
  });
});

test('what a customer is shown of an option does not name who supplies it', async () => {
  const unitId = await shop.book();
  const option = { ...offered('exchange', 9000, null), id: 'exchange X-1 Lockgate Exchange' };
  const { key } = await quoted(unitId, [REPAIR, option]);
  await reply(key, { said: 'picks', option: '1' });
  const quote = (await newest(unitId)) as Quote;
  expect(quote.answer).toMatchObject({ option: option.id });
  expect(forCustomer(quote)).toMatchObject({ options: [{ id: '0' }, { id: '1' }], answer: { option: '1' } });
  const file = await customerFile(shop.db, (await shop.record(unitId)).job.customerId, START);
  expect(JSON.stringify([forCustomer(quote), file])).not.toContain('Lockgate');
});

test('a key that is wrong, altered or of another shop opens nothing', async () => {
  const unitId = await shop.book();
  const { key } = await quoted(unitId);
  expect((await quoteOfKey(shop.db, key))?.record.unit.id).toBe(unitId);
  const altered = `${key.slice(0, -1)}${key.endsWith('A') ? 'B' : 'A'}`;
  for (const wrong of [altered, key.toLowerCase(), `${key} `, '', newQuoteKey(), "' or 1=1 --"])
    expect([wrong, await quoteOfKey(shop.db, wrong)]).toEqual([wrong, undefined]);
});

test('nobody is the customer: who answers by an address is no member, signs in nowhere and is not taken back', async () => {
  const unitId = await shop.book();
  await reply((await quoted(unitId)).key, { said: 'no' });
  expect((await staff(shop.db)).map((p) => p.id)).not.toContain(THE_CUSTOMER.id);
  expect((await members(shop.db, START)).map((m) => m.id)).not.toContain(THE_CUSTOMER.id);
  const by = { personId: PEOPLE.owner.id, at: START };
  expect(await takeBack(shop.db, by, THE_CUSTOMER.id)).toEqual({ ok: false, error: { code: 'no-such-person' } });
  const tried = await checkPin(shop.db, THE_CUSTOMER.id, '1111', START, { kind: 'address', address: '10.0.0.9' });
  expect(tried.ok).toBe(false);
});
