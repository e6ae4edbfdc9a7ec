import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { sayReach } from '@/core/customer/customer';
import { onClock } from '@/core/locale';
import { fill } from '@/core/message/template';
import { may } from '@/core/people/role';
import { quoteState } from '@/core/quote/quote';
import { sayAnswer, sayCents } from '@/core/quote/say-quote';
import type { ShopSettings } from '@/core/shop/settings';
import { customersUnit } from '@/core/unit/customers-unit';
import { sayUnit, tagNumber, type UnitRecord } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';
import { everyone } from '@/db/people/people';
import { rulesInForce } from '@/db/rules/rules';
import { sayNotDone } from '@/pool/pool';
import { DateForm } from '@/ui/offer/date-form';
import { Options } from '@/ui/offer/options';
import { MakeQuote } from '@/ui/quote/make-quote';
import { Quotes, type ShownQuote } from '@/ui/quote/quotes';
import { Go } from '@/ui/shell/go';
import { StationProvider } from '@/ui/unit/station-context';
import { type OptionsNow, optionsNow } from '../../../../_server/options-now';
import { shopOrigin } from '../../../../_server/request';
import { shopNow } from '../../../../_server/shop-now';
import { personOrSignIn } from '../../../../_server/who';
import { atUnit } from '../_station/at-unit';

type Params = { readonly params: Promise<{ readonly tag: string }> };
type Search = { readonly searchParams: Promise<{ readonly late?: string; readonly hard?: string }> };
/** How long a quote holds, where nobody says otherwise, ms. */
const HOLDS_MS = 14 * 86_400_000;
/** A quote ends with a working day. */
const CLOSING_HOUR = 18;

export const generateMetadata = async ({ params }: Params): Promise<Metadata> => ({ title: `${(await params).tag} · options` });

/** What may be done about a unit and what each way costs; quotes are made of it here. */
export default async function OptionsPage({ params, searchParams }: Params & Search) {
  const [person, db, { tag }, { late, hard }] = await Promise.all([personOrSignIn(), theDb(), params, searchParams]);
  const date = { latePerDay: priceIn(late), hard: hard === '1' };
  const number = tagNumber(tag);
  const record = number === undefined ? undefined : await unitOfTag(db, number);
  if (record === undefined) notFound();
  const { unit } = record;
  const now = Date.now();
  const inShop = unit.exit === null;
  const [found, quotes, ruleSet, { settings }] = await Promise.all([
    inShop ? optionsNow(db, record, now, date) : undefined,
    shownQuotes(record, now),
    rulesInForce(db),
    shopNow(),
  ]);
  const at = atUnit(record, person, ruleSet, now, inShop);
  return (
    <StationProvider at={at}>
      <div className="px-4 py-4">
        <p className="text-[13px]">
          <Go className="font-bold text-act" href={`/units/${at.tag}`}>
            {at.tag}
          </Go>{' '}
          / Options
        </p>
        <h1 className="mb-1 text-xl font-bold">Repair, sleeve, exchange, new, or give back: {sayUnit(record)}</h1>
        {quotes.length > 0 && (
          <section className="mb-4 max-w-4xl" aria-label="Quotes">
            <h2 className="head mb-1">{quotes.length === 1 ? 'QUOTE' : `${quotes.length} QUOTES`}</h2>
            <Quotes quotes={quotes} />
          </section>
        )}
        {found === undefined ? (
          <p>It has left the shop: there is nothing to choose any more.</p>
        ) : found.ok ? (
          <>
            <DateForm date={date} />
            <Options {...found.value} now={now} />
            {may(person.role, 'offer') && (
              <section className="mt-4 max-w-4xl" aria-label="A quote">
                <h2 className="head mb-1">A QUOTE FOR {record.job.customer.toUpperCase()}</h2>
                <p className="mb-2 text-ink2">
                  {sayReach(record.job)}{' '}
                  <Go className="font-bold text-act" href={`/customers/${record.job.customerId}`}>
                    The customer’s page
                  </Go>
                </p>
                <MakeQuote
                  key={quotes.length}
                  offers={offersOf(found.value)}
                  start={startOf(record, found.value, settings, now)}
                  replaces={quotes.length > 0}
                />
              </section>
            )}
          </>
        ) : (
          <p role="alert">{sayNotDone(found.error)}</p>
        )}
      </div>
    </StationProvider>
  );
}

/** A price from an address; none where it is no price. */
const priceIn = (text: string | undefined): number => {
  const amount = Number((text ?? '').replace(',', '.'));
  return amount > 0 && amount <= 1e6 ? amount : 0;
};

const offersOf = ({ offers }: OptionsNow) =>
  offers.map(({ id, words, charges }) => ({ id, words, total: charges.total, said: sayCents(charges.total) }));

/** The best, and giving it back, are ticked: the counter says what else. */
const startOf = (record: UnitRecord, { cost, offers }: OptionsNow, settings: ShopSettings, now: number) => ({
  options: offers.flatMap((o) => (o.id === cost.best || o.kind === 'give-back' ? [o.id] : [])),
  words: fill(settings.templates.quote, { customer: record.job.customer, shop: settings.name, ...customersUnit(record) }),
  validUntil: onClock(now + HOLDS_MS).setHours(CLOSING_HOUR, 0, 0, 0),
});

const shownQuotes = async (record: UnitRecord, now: number): Promise<readonly ShownQuote[]> => {
  if (record.quotes.length === 0) return [];
  const [people, origin] = [await everyone(await theDb()), shopOrigin(await headers())];
  const nameOf = (id: string): string => people.find((p) => p.id === id)?.name ?? id;
  return record.quotes.toReversed().map((quote) => ({
    quote,
    state: quoteState(quote, record.quotes, record.unit.exit !== null, now),
    by: nameOf(quote.personId),
    answered: sayAnswer(quote, nameOf),
    address: `${origin}/quote/${quote.key}`,
  }));
};
