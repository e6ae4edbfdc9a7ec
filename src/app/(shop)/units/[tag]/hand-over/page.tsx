import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openOf, standingBill } from '@/core/bill/bill';
import { chargesOf } from '@/core/cost/charge';
import { sayReach } from '@/core/customer/customer';
import { fill } from '@/core/message/template';
import { may } from '@/core/people/role';
import { sayCents } from '@/core/quote/say-quote';
import { customersUnit } from '@/core/unit/customers-unit';
import { sayUnit, tagNumber } from '@/core/unit/unit-record';
import { billsOfUnit, paymentsOf } from '@/db/bill/bills';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';
import { everyone } from '@/db/people/people';
import { rulesInForce } from '@/db/rules/rules';
import { BillForm } from '@/ui/bill/bill-form';
import { Bills } from '@/ui/bill/bills';
import { TellCustomer } from '@/ui/customer/tell-customer';
import { Go } from '@/ui/shell/go';
import { StationProvider } from '@/ui/unit/station-context';
import { billNow } from '../../../../_server/bill-now';
import { shopNow } from '../../../../_server/shop-now';
import { personOrSignIn } from '../../../../_server/who';
import { atUnit } from '../_station/at-unit';

type Params = { readonly params: Promise<{ readonly tag: string }> };

export const generateMetadata = async ({ params }: Params): Promise<Metadata> => ({ title: `${(await params).tag} · hand over` });

/** A unit that has left the benches goes to its customer: they are told, it is billed, and somebody takes it. */
export default async function HandOverPage({ params }: Params) {
  const [person, db, { tag }] = await Promise.all([personOrSignIn(), theDb(), params]);
  const number = tagNumber(tag);
  const record = number === undefined ? undefined : await unitOfTag(db, number);
  if (record === undefined) notFound();
  const { unit, job } = record;
  const now = Date.now();
  const [bills, { lines, prices }, ruleSet, { settings }, people] = await Promise.all([
    billsOfUnit(db, unit.id),
    billNow(db, record, now),
    rulesInForce(db),
    shopNow(),
    everyone(db),
  ]);
  const payments = await paymentsOf(db, bills);
  const standing = standingBill(bills);
  const at = atUnit(record, person, ruleSet, now, unit.exit !== null);
  return (
    <StationProvider at={at}>
      <div className="grid max-w-4xl gap-5 px-4 py-4">
        <div>
          <p className="text-[13px]">
            <Go className="font-bold text-act" href={`/units/${at.tag}`}>
              {at.tag}
            </Go>{' '}
            / Hand over
          </p>
          <h1 className="text-xl font-bold">Hand over: {sayUnit(record)}</h1>
          <p className="text-ink2">
            {job.machine} ·{' '}
            <Go className="font-bold text-act" href={`/customers/${job.customerId}`}>
              {job.customer}
            </Go>
            {unit.exit === null ? '' : ` · ${unit.exit}`}
          </p>
        </div>
        {unit.exit === null ? (
          <p className="border-l-4 border-amber pl-3">
            It has not left the shop yet: it is released first, or a lead notes that it is given back.
          </p>
        ) : (
          <>
            {bills.length > 0 && (
              <Bills
                bills={bills.map((bill) => ({
                  bill,
                  by: people.find((p) => p.id === bill.personId)?.name ?? bill.personId,
                  payments: payments.filter((p) => p.bill === bill.number),
                  open: openOf(bill, bills, payments),
                  stands: bill.number === standing?.number,
                }))}
                may={may(person.role, 'bill')}
              />
            )}
            {standing === undefined && (
              <TellCustomer
                key={unit.version}
                reach={sayReach(job)}
                words={fill(settings.templates.ready, {
                  customer: job.customer,
                  shop: settings.name,
                  'to pay': sayCents(chargesOf(lines, prices).total),
                  ...customersUnit(record),
                })}
              />
            )}
            {standing === undefined && may(person.role, 'bill') && (
              <BillForm key={bills.length} lines={lines} prices={prices} handedTo={job.customer} />
            )}
          </>
        )}
      </div>
    </StationProvider>
  );
}
