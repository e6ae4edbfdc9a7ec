import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { openOf } from '@/core/bill/bill';
import { MESSAGE_WORDS } from '@/core/message/message';
import { may } from '@/core/people/role';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { pickedOf } from '@/core/quote/quote';
import { STATE_WORDS, sayCents } from '@/core/quote/say-quote';
import { tagOf } from '@/core/unit/unit-record';
import { billsOfCustomer, paymentsOf } from '@/db/bill/bills';
import { alikeTo, customerOf, findCustomers, pageOf } from '@/db/customer/customers';
import { theDb } from '@/db/engine/connection';
import { CustomerForm } from '@/ui/customer/customer-form';
import { EraseBox } from '@/ui/customer/erase-box';
import { MergeBox } from '@/ui/customer/merge-box';
import { UnitList } from '@/ui/rack/unit-list';
import { Go } from '@/ui/shell/go';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Customer' };

/** A customer: how to reach them, their units then and now, what they were offered and told. */
export default async function CustomerPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ readonly id: string }>;
  readonly searchParams: Promise<{ readonly same?: string }>;
}) {
  const [person, db, { id }, { same }] = await Promise.all([personOrSignIn(), theDb(), params, searchParams]);
  const customer = await customerOf(db, decodeURIComponent(id));
  if (customer === undefined) notFound();
  if (customer.id !== decodeURIComponent(id)) redirect(`/customers/${customer.id}`);
  const now = Date.now();
  const bills = await billsOfCustomer(db, customer.id);
  const payments = await paymentsOf(db, bills);
  const owed = bills.reduce((sum, b) => sum + (b.kind === 'bill' ? openOf(b, bills, payments) : 0), 0);
  const sought = String(same ?? '').trim();
  const [{ units, quotes, messages, history }, { found, inAll }] = await Promise.all([
    pageOf(db, customer.id, now),
    sought === '' ? alikeTo(db, customer) : findCustomers(db, sought),
  ]);
  const others = found.filter((c) => c.id !== customer.id);
  const open = customer.erasedAt === null && may(person.role, 'correct');
  const [here, left] = [units.units.filter((u) => u.exit === null), units.units.filter((u) => u.exit !== null)];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 px-4 py-4">
      <div>
        <p className="text-[13px]">
          <Go className="font-bold text-act" href="/customers">
            Customers
          </Go>{' '}
          / {customer.name}
        </p>
        <h1 className="text-xl font-bold">{customer.name}</h1>
        {customer.erasedAt !== null && <p>Erased on their request, {sayFullDate(customer.erasedAt)}.</p>}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-6 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-5">
          <CustomerForm key={customer.editedAt} customer={customer} open={open} />
          {open && <MergeBox key={sought} into={customer} sought={sought} alike={others} inAll={inAll - (found.length - others.length)} />}
          <p>
            <a className="font-bold text-act" href={`/api/v1/customers/${customer.id}/export.json`} download>
              All that is kept of them, as a file
            </a>
          </p>
          {customer.erasedAt === null && may(person.role, 'shop') && <EraseBox customer={customer} />}
          {history.length > 0 && (
            <section aria-label="What was changed">
              <h2 className="head mb-1">WHAT WAS CHANGED</h2>
              {history.map((e) => (
                <p key={e.id} className="border-b border-hair py-1">
                  {e.what}{' '}
                  <span className="text-ink2">
                    {e.by ?? ''} · {sayWhen(e.at, now)}
                  </span>
                </p>
              ))}
            </section>
          )}
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-5">
          <section aria-label="Units in the shop">
            <h2 className="head mb-1">IN THE SHOP ({here.length})</h2>
            <UnitList units={here} now={now} empty="Nothing of theirs is here." />
          </section>
          <section aria-label="Units that have left">
            <h2 className="head mb-1">LEFT ({units.inAll - here.length})</h2>
            {units.inAll > units.units.length && <p className="text-ink2">The newest {units.units.length} units are shown.</p>}
            <UnitList units={left} now={now} empty="Nothing of theirs has left yet." />
          </section>
          <section aria-label="Quotes">
            <h2 className="head mb-1">QUOTES ({quotes.length})</h2>
            {quotes.map(({ quote, tagNo, state }) => (
              <p key={quote.id} className="flex flex-wrap gap-x-3 border-b border-hair py-1">
                <Go className="font-bold text-act" href={`/units/${tagOf({ tagNo })}/options`}>
                  {tagOf({ tagNo })}
                </Go>
                <span>{quote.options.map((o) => `${o.words} ${sayCents(o.charges.total)}`).join(' · ')}</span>
                <b>
                  {STATE_WORDS[state]}
                  {state === 'picked' ? `: ${pickedOf(quote)?.words}` : ''}
                </b>
                <span className="text-ink2">{sayWhen(quote.at, now)}</span>
              </p>
            ))}
          </section>
          <section aria-label="Bills">
            <h2 className="head mb-1">
              BILLS ({bills.length}){owed === 0 ? '' : ` · ${owed > 0 ? 'they owe' : 'owed to them'} ${sayCents(Math.abs(owed))}`}
            </h2>
            {bills.map((bill) => (
              <p key={bill.number} className="flex flex-wrap gap-x-3 border-b border-hair py-1">
                <Go className="font-bold text-act" href={`/units/${bill.tag}/hand-over`}>
                  {bill.kind === 'credit' ? 'Credit note' : 'Bill'} {bill.number}
                </Go>
                <span>
                  {bill.tag}, {bill.unit}
                </span>
                <b>{sayCents(bill.charges.total)}</b>
                {bill.kind === 'bill' && <span>{sayOpen(openOf(bill, bills, payments))}</span>}
                <span className="text-ink2">{sayWhen(bill.at, now)}</span>
              </p>
            ))}
          </section>
          <section aria-label="Messages">
            <h2 className="head mb-1">MESSAGES ({messages.inAll})</h2>
            {messages.inAll > messages.shown.length && <p className="text-ink2">The newest {messages.shown.length} are shown.</p>}
            {messages.shown.map((m) => (
              <p key={m.id} className="border-b border-hair py-1">
                <b>{tagOf(m)}</b> {m.text}{' '}
                <span className="text-ink2">
                  {MESSAGE_WORDS[m.state]}, {sayWhen(m.at, now)}
                </span>
              </p>
            ))}
          </section>
        </div>
      </div>
    </div>
  );
}

const sayOpen = (cents: number): string =>
  cents === 0 ? 'settled' : cents > 0 ? `open: ${sayCents(cents)}` : `to be given back: ${sayCents(-cents)}`;
