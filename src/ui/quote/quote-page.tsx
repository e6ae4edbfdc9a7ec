import { capital } from '@/core/capital';
import { sayFullDate } from '@/core/quantity/say-time';
import { type Offered, pickedOf, type Quote, type QuoteState } from '@/core/quote/quote';
import { sayCents, sayReady } from '@/core/quote/say-quote';
import { Letterhead } from '../shop/letterhead';
import { ChargeLines } from './charge-lines';
import { Reply } from './reply';

/** A quote as its customer reads it, and answers it. */
export function QuotePage({
  letterhead,
  of,
  quote,
  state,
  now,
}: {
  readonly letterhead: readonly string[];
  readonly of: { readonly unit: string; readonly machine: string; readonly tag: string };
  readonly quote: Quote;
  readonly state: Exclude<QuoteState, 'ended' | 'replaced'>;
  readonly now: number;
}) {
  const picked = pickedOf(quote);
  return (
    <article className="grid gap-4">
      <Letterhead lines={letterhead} />
      <div>
        <h1 className="text-xl font-bold">
          Quote {of.tag}: {of.unit}
        </h1>
        <p className="text-ink2">
          {of.machine} · holds until {sayFullDate(quote.validUntil)}
        </p>
      </div>
      <p className="whitespace-pre-line">{quote.words}</p>
      {state !== 'open' && quote.answer !== null && (
        <p role="status" className="border-l-4 border-act bg-tint2 px-3 py-2 font-bold">
          {picked === undefined
            ? `You said no on ${sayFullDate(quote.answer.at)}. We keep your unit as it is until you fetch it.`
            : `You chose: ${picked.words}, ${sayCents(picked.charges.total)}, on ${sayFullDate(quote.answer.at)}. Thank you.`}{' '}
          If you have changed your mind, ring us.
        </p>
      )}
      <ul className="grid gap-3">
        {quote.options.map((o) => (
          <Card key={o.id} option={o} picked={o.id === picked?.id} now={now} />
        ))}
      </ul>
      {state === 'open' && (
        <Reply
          key={quote.questions.length}
          quoteKey={quote.key}
          options={quote.options.map((o) => ({ id: o.id, words: o.words, total: sayCents(o.charges.total) }))}
        />
      )}
      {quote.questions.length > 0 && (
        <section>
          <h2 className="head mb-1">WHAT YOU ASKED</h2>
          {quote.questions.map((q) => (
            <p key={q.at} className="border-b border-hair py-1">
              {q.text} <span className="text-ink2">{sayFullDate(q.at)}</span>
            </p>
          ))}
        </section>
      )}
      <p className="text-[13px]">
        <a className="font-bold text-act" href={`/quote/${quote.key}/quote.pdf`}>
          This quote to print (PDF)
        </a>
      </p>
    </article>
  );
}

function Card({ option: o, picked, now }: { readonly option: Offered; readonly picked: boolean; readonly now: number }) {
  return (
    <li className={`border bg-sheet px-4 py-3 ${picked ? 'border-act border-2' : 'border-line'}`}>
      <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-[17px] font-bold">{capital(o.words)}</h2>
        <b className="text-[17px]">{sayCents(o.charges.total)}</b>
        <p className="basis-full text-ink2">{capital(sayReady(o, now))}.</p>
      </div>
      <ChargeLines charges={o.charges} head={`What ${o.words} comes to`} />
    </li>
  );
}
