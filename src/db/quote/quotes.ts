import { randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { THE_CUSTOMER } from '@/core/people/role';
import { ANSWER_MS, answerWaitId, questionWaitId } from '@/core/quote/answer-wait';
import { mends } from '@/core/quote/option-kind';
import { forCustomer, MOST_QUESTIONS, type Offered, type Quote, quoteState, type Reply, type Said } from '@/core/quote/quote';
import { ok, type Result } from '@/core/result';
import { customersUnit } from '@/core/unit/customers-unit';
import type { UnitRecord } from '@/core/unit/unit-record';
import { send } from '../customer/outbox';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader, Tx } from '../engine/connection';
import { digestOf } from '../engine/digest';
import { type Edit, put } from '../engine/edit';
import { loadUnit } from '../engine/load-unit';
import { people, quotes } from '../tables';
import { endOfWait, waitEdit } from '../unit/waits';

/** The end of a quote's customer page: nobody guesses 128 bits. */
export const newQuoteKey = (): string => randomBytes(16).toString('base64url');

/** Makes a quote and sends it: it takes the place of the one before, and somebody waits for its answer. @param address of its customer's page */
export const makeQuote = (
  db: Db,
  change: Change,
  q: Pick<Quote, 'words' | 'validUntil' | 'key'> & { readonly options: readonly Offered[] },
  address: string,
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    if (q.validUntil <= at) return refused('It would have ended before it is sent: until when does it hold?');
    const { unit, job } = record;
    const of = customersUnit(record);
    const before = record.quotes.at(-1);
    await send(tx, record, {
      id: change.eventId,
      at,
      subject: `A quote for your ${of.unit} (${of.tag})`,
      text: `${q.words}

${address}`,
    });
    return ok([
      ...(before === undefined ? [] : await endOfWaits(tx, unit.id, before.id, at)),
      put('quotes', { id: change.eventId, unitId: unit.id, at, personId: change.person.id, ...q, questions: [], answer: null }),
      waitEdit(change, at, {
        id: answerWaitId(change.eventId),
        label: `answer from ${job.customer}`,
        endsAt: Math.min(at + ANSWER_MS, q.validUntil),
      }),
    ]);
  });

/** Neither an answer nor a question is waited for any more. */
const endOfWaits = async (tx: Tx, unitId: string, quoteId: string, at: number): Promise<readonly Edit[]> =>
  (await Promise.all([answerWaitId(quoteId), questionWaitId(quoteId)].map((id) => endOfWait(tx, unitId, id, at)))).flat();

/** Notes what a customer said to a quote; what they pick moves the promise to what it offered. Only the newest quote counts. */
export const answerQuote = (db: Db, change: Change, quoteId: string, said: Said): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [quoteId] }, (record, at, tx) => {
    const quote = record.quotes.find((q) => q.id === quoteId);
    if (quote === undefined) return refused('There is no such quote.');
    if (quote.id !== record.quotes.at(-1)?.id) return refused('Another quote has taken its place.');
    if (quote.answer !== null) return refused('It has been answered.');
    return answered(tx, record, quote, { ...said, at, by: change.person.id });
  });

const answered = async (
  tx: Tx,
  { unit }: UnitRecord,
  quote: Quote,
  answer: NonNullable<Quote['answer']>,
): Promise<Result<readonly Edit[], ChangeError>> => {
  const picked = answer.said === 'picks' ? quote.options.find((o) => o.id === answer.option) : undefined;
  if (answer.said === 'picks' && picked === undefined) return refused('That is not one of its options.');
  return ok([
    ...(await endOfWaits(tx, unit.id, quote.id, answer.at)),
    put('quotes', { ...quote, unitId: unit.id, answer }),
    // Their own unit is promised anew; for what takes its place it waits no longer than it did.
    ...(picked?.readyAt == null || !mends(picked.kind) ? [] : [put('units', { ...unit, dueAt: picked.readyAt })]),
  ]);
};

/** The unit and the quote whose customer's page a key opens; undefined where none does. */
export async function quoteOfKey(db: Reader, key: string): Promise<{ readonly record: UnitRecord; readonly quote: Quote } | undefined> {
  const [row] = await db.select({ id: quotes.id, unitId: quotes.unitId }).from(quotes).where(eq(quotes.key, key));
  const record = row === undefined ? undefined : await loadUnit(db, row.unitId);
  const quote = record?.quotes.find((q) => q.id === row?.id);
  return record === undefined || quote === undefined ? undefined : { record, quote };
}

/**
 * What a customer says on the page of their quote, by the places of its options, on the unit's record with its time. A question leaves the quote open.
 * @param eventId made by the page that is filled in: sent twice, it is said once
 */
export async function replyToQuote(
  db: Db,
  { key, eventId, reply }: { readonly key: string; readonly eventId: string; readonly reply: Reply },
  now: number,
): Promise<Result<Changed, ChangeError>> {
  const found = await quoteOfKey(db, key);
  if (found === undefined) return refused('There is no such quote.');
  const { record, quote } = found;
  await db.transaction((tx) => theCustomer(tx, now));
  const change: Change = {
    eventId,
    unitId: record.unit.id,
    version: null,
    person: THE_CUSTOMER,
    at: now,
    kind: reply.said === 'asks' ? 'quote-asked' : 'quote-answered',
    note: reply.said === 'asks' ? reply.text : '',
    digest: digestOf({ key, reply }),
  };
  return changeUnit(db, change, (r, at, tx) => {
    const is = r.quotes.find((q) => q.id === quote.id) ?? quote;
    switch (quoteState(is, r.quotes, r.unit.exit !== null, at)) {
      case 'open':
        break;
      case 'picked':
      case 'refused':
        return refused('It has been answered. If you have changed your mind, ring us.');
      case 'ended':
      case 'replaced':
        return refused('This quote has ended. Ask us for a new one.');
    }
    if (reply.said === 'no') return answered(tx, r, is, { said: 'no', at, by: THE_CUSTOMER.id });
    if (reply.said === 'picks') {
      const option = is.options[forCustomer(is).options.findIndex((o) => o.id === reply.option)]?.id ?? '';
      return answered(tx, r, is, { said: 'picks', option, at, by: THE_CUSTOMER.id });
    }
    return is.questions.length >= MOST_QUESTIONS
      ? refused('You have asked a good deal already: ring us, that is quicker.')
      : ok([
          put('quotes', { ...is, unitId: r.unit.id, questions: [...is.questions, { at, text: reply.text }] }),
          // Rings at once, for whoever made the quote.
          waitEdit(change, at, { id: questionWaitId(is.id), label: `question from ${r.job.customer}`, endsAt: at, ownerId: is.personId }),
        ]);
  });
}

/** Who a customer's own words are written down by; made when the first says something. */
const theCustomer = async (tx: Tx, now: number): Promise<void> => {
  const { id, name, role } = THE_CUSTOMER;
  const at = new Date(now);
  await tx
    .insert(people)
    .values({ id, name, role, email: `${id}@nobody`, emailVerified: false, leftAt: now, createdAt: at, updatedAt: at })
    .onConflictDoNothing();
};
