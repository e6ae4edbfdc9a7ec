'use server';

import { CreditBill, MakeBill, PayBill, TellCustomer } from '@/core/bill/bill-schema';
import { fail, ok } from '@/core/result';
import { creditBill, makeBill, payBill } from '@/db/bill/bills';
import { pricesInForce } from '@/db/cost/prices';
import { tellCustomer } from '@/db/customer/tell';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const makeBillAction = act('bill', MakeBill, async (i, { db, person, now }) =>
  makeBill(db, changeOf(i, person, now, 'billed', `to ${i.handedTo}`), i, (await pricesInForce(db)).prices),
);

export const creditBillAction = act('bill', CreditBill, (i, { db, person, now }) =>
  creditBill(db, changeOf(i, person, now, 'credited', `${i.number}: ${i.reason}`), i.number, i.reason),
);

export const payBillAction = act('bill', PayBill, async (i, { db, person, now }) => {
  const paid = await payBill(db, { personId: person.id, at: now }, i);
  return paid.ok ? ok(null) : fail({ code: 'refused', reasons: [paid.error] });
});

export const tellCustomerAction = act('book-in', TellCustomer, (i, { db, person, now }) =>
  tellCustomer(db, changeOf(i, person, now, 'told'), i.text),
);
