import { forCustomer, type Quote, type QuoteState, quoteState } from '@/core/quote/quote';
import type { UnitRecord } from '@/core/unit/unit-record';
import { shopDb } from '@/db/engine/connection';
import { quoteOfKey } from '@/db/quote/quotes';
import { countWrong, mayAsk } from './slow-down';

/** What a key of a customer's page leads to. Of a quote that has ended, its holder is told just that. */
export type QuoteAtKey =
  | {
      readonly kind: 'shown';
      readonly quote: Quote;
      readonly state: Exclude<QuoteState, 'ended' | 'replaced'>;
      readonly record: UnitRecord;
    }
  | { readonly kind: 'ended' }
  | { readonly kind: 'none' }
  | { readonly kind: 'too-many' };

/** @param sent headers of the request, by whose place wrong keys are counted */
export async function quoteAtKey(key: string, sent: Pick<Headers, 'get'>, now: number): Promise<QuoteAtKey> {
  if (!(await mayAsk(sent))) return { kind: 'too-many' };
  const found = /^[\w-]{22}$/.test(key) ? await quoteOfKey(await shopDb(), key) : undefined;
  if (found === undefined) {
    await countWrong(sent);
    return { kind: 'none' };
  }
  const { quote, record } = found;
  const state = quoteState(quote, record.quotes, record.unit.exit !== null, now);
  return state === 'ended' || state === 'replaced' ? { kind: 'ended' } : { kind: 'shown', quote: forCustomer(quote), state, record };
}
