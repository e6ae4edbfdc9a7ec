'use client';

import { type Bill, PAYMENT_WORDS, type Payment } from '@/core/bill/bill';
import { sayFullDate } from '@/core/quantity/say-time';
import { sayCents } from '@/core/quote/say-quote';
import { ChargeLines } from '../quote/charge-lines';
import { CreditBox } from './credit-box';
import { PayBox } from './pay-box';

/** A bill or credit note with what was paid on it and what is open, cents. */
export type ShownBill = {
  readonly bill: Bill;
  readonly by: string;
  readonly payments: readonly Payment[];
  readonly open: number;
  readonly stands: boolean;
};

/** A unit's bills and credit notes, the newest first. */
export function Bills({ bills, may }: { readonly bills: readonly ShownBill[]; readonly may: boolean }) {
  return (
    <section aria-label="Bills" className="grid gap-3">
      {bills.toReversed().map(({ bill, by, payments, open, stands }) => (
        <article key={bill.number} className="border border-line bg-sheet px-4 py-3" aria-label={nameOf(bill)}>
          <p className="flex flex-wrap items-baseline justify-between gap-x-4">
            <b className="text-[17px]">{nameOf(bill)}</b>
            <a className="font-bold text-act" href={`/api/v1/bills/${bill.number}/bill.pdf`} target="_blank" rel="noreferrer">
              To print (PDF)
            </a>
          </p>
          <p className="text-ink2">
            {sayFullDate(bill.at)}, by {by}
            {bill.kind === 'credit' ? ` · takes back bill ${bill.of}: ${bill.reason}` : ` · handed to ${bill.handedTo}`}
          </p>
          <div className="max-w-md py-2">
            <ChargeLines charges={bill.charges} head={nameOf(bill)} />
          </div>
          {payments.map((p) => (
            <p key={p.id} className="border-b border-hair py-1">
              {p.cents < 0 ? 'Given back' : 'Paid'} {PAYMENT_WORDS[p.how]}: {sayCents(Math.abs(p.cents))}, {sayFullDate(p.at)}
            </p>
          ))}
          {bill.kind === 'bill' && (
            <p className={`mt-1 font-bold ${open === 0 ? 'text-act' : 'text-amber'}`}>
              {open === 0 ? 'Nothing is open.' : open > 0 ? `Open: ${sayCents(open)}` : `To be given back: ${sayCents(-open)}`}
            </p>
          )}
          {may && bill.kind === 'bill' && open !== 0 && <PayBox key={open} number={bill.number} open={open} />}
          {may && stands && <CreditBox number={bill.number} />}
        </article>
      ))}
    </section>
  );
}

const nameOf = (bill: Bill): string => `${bill.kind === 'credit' ? 'Credit note' : 'Bill'} ${bill.number}`;
