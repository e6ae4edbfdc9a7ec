'use server';

import { headers } from 'next/headers';
import { AnswerQuote, MakeQuote, ReplyToQuote } from '@/core/quote/quote-schema';
import { fail, ok, type Result } from '@/core/result';
import { problemsOf, sayFault } from '@/core/schema/problems';
import type { Sends } from '@/core/schema/sends';
import type { SaveError } from '@/core/unit/save-error';
import { shopDb } from '@/db/engine/connection';
import { loadUnit } from '@/db/engine/load-unit';
import { answerQuote, makeQuote, newQuoteKey, replyToQuote } from '@/db/quote/quotes';
import { sayNotDone } from '@/pool/pool';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';
import { optionsNow } from '../_server/options-now';
import { shopOrigin } from '../_server/request';
import { mayAsk } from '../_server/slow-down';

/** Offers options of a unit at what they come to now; at another price than was seen, nothing goes out. */
export const makeQuoteAction = act('offer', MakeQuote, async (i, { db, person, now }) => {
  const record = await loadUnit(db, i.unitId);
  if (record === undefined) return fail({ code: 'no-such-unit' });
  const found = await optionsNow(db, record, now);
  if (!found.ok) return fail({ code: 'refused', reasons: [sayNotDone(found.error)] });
  const options = i.options.flatMap((o) => found.value.offers.find((x) => x.id === o.id && x.charges.total === o.total) ?? []);
  if (options.length < i.options.length)
    return fail({ code: 'refused', reasons: ['What it costs has changed since you looked. Load the page anew, and look again.'] });
  const key = newQuoteKey();
  const address = `${shopOrigin(await headers())}/quote/${key}`;
  return makeQuote(db, changeOf(i, person, now, 'quoted'), { options, words: i.words, validUntil: i.validUntil, key }, address);
});

/** What the customer said at the counter or over the telephone. */
export const answerQuoteAction = act('book-in', AnswerQuote, (i, { db, person, now }) =>
  answerQuote(db, changeOf(i, person, now, 'quote-answered'), i.quoteId, i.answer),
);

/** What a customer says on the page of their quote: whoever has its address may. */
export async function replyToQuoteAction(input: Sends<typeof ReplyToQuote>): Promise<Result<null, SaveError>> {
  if (!(await mayAsk(await headers()))) return fail({ code: 'refused', reasons: ['Too much at once: wait a minute, or ring us.'] });
  const parsed = ReplyToQuote.safeParse(input, { error: sayFault });
  if (!parsed.success) return fail({ code: 'invalid', problems: problemsOf(parsed.error) });
  const replied = await replyToQuote(await shopDb(), parsed.data, Date.now());
  return replied.ok ? ok(null) : fail(replied.error);
}
