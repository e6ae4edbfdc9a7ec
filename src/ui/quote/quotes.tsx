'use client';

import { answerQuoteAction } from '@/app/actions/quote';
import { capital } from '@/core/capital';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Quote, QuoteState } from '@/core/quote/quote';
import { STATE_WORDS, sayCents, sayReady } from '@/core/quote/say-quote';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from '../unit/station-context';

/** A quote as the shop sees it. `answered` says what the customer said, in a sentence. */
export type ShownQuote = {
  readonly quote: Quote;
  readonly state: QuoteState;
  readonly by: string;
  readonly answered: string | undefined;
  /** Of its customer's page. */
  readonly address: string;
};

/** A unit's quotes, the newest first. */
export function Quotes({ quotes }: { readonly quotes: readonly ShownQuote[] }) {
  const answering = useSave(answerQuoteAction);
  const { now, inShop } = useStation();
  return (
    <div className="grid gap-3">
      {quotes.map(({ quote, state, by, answered, address }) => (
        <article key={quote.id} aria-label={`Quote, ${STATE_WORDS[state]}`} className="border border-line bg-sheet px-3 py-2">
          <p className="flex flex-wrap items-baseline gap-x-3">
            <b className={state === 'open' ? 'text-amber' : state === 'picked' ? 'text-act' : ''}>{capital(STATE_WORDS[state])}</b>
            <span className="text-ink2" title={sayFullDate(quote.at)}>
              made {sayWhen(quote.at, now)} by {by}, holds until {sayWhen(quote.validUntil, now)}
            </span>
          </p>
          <ul>
            {quote.options.map((o) => (
              <li key={o.id} className="flex flex-wrap items-baseline gap-x-2 border-b border-hair py-1">
                <span className="flex-1">
                  {capital(o.words)} <span className="text-ink2">{sayReady(o, now)}</span>
                </span>
                <b>{sayCents(o.charges.total)}</b>
                {state === 'open' && (
                  <button
                    type="button"
                    className="btn-quiet"
                    onClick={() => void answering.save({ quoteId: quote.id, answer: { said: 'picks', option: o.id } })}
                  >
                    They chose this<span className="sr-only">: {o.words}</span>
                  </button>
                )}
              </li>
            ))}
          </ul>
          {answered !== undefined && <p className="font-bold">{answered}</p>}
          {quote.questions.map((q) => (
            <p key={q.at} className="border-l-4 border-amber pl-3">
              They ask: {q.text} <span className="text-ink2">{sayWhen(q.at, now)}</span>
            </p>
          ))}
          {(state === 'open' || state === 'ended') && quote.answer === null && inShop && (
            <button
              type="button"
              className="btn-quiet mt-1"
              onClick={() => void answering.save({ quoteId: quote.id, answer: { said: 'no' } })}
            >
              They said no
            </button>
          )}
          {(state === 'open' || state === 'picked') && (
            <p className="mt-1 flex flex-wrap items-center gap-x-3 text-[13px]">
              <span className="text-ink2">The customer’s page:</span>
              <a className="break-all text-act" href={address} target="_blank" rel="noreferrer">
                {address}
              </a>
              <a className="font-bold text-act" href={`${new URL(address).pathname}/quote.pdf`} target="_blank" rel="noreferrer">
                PDF
              </a>
            </p>
          )}
        </article>
      ))}
      <SaveNote saving={answering.saving} onDecide={answering.decide} />
    </div>
  );
}
