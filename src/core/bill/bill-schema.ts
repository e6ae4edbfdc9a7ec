import { z } from 'zod';
import { CHARGES } from '../cost/price';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { PAYMENTS } from './bill';

/** So much for one line, cents; nothing in such a shop costs more. */
const MOST_CENTS = 1e9;
const Cents = z.number('how much?').int().min(-MOST_CENTS).max(MOST_CENTS);
const BillLine = z.object({
  charge: z.enum(CHARGES),
  words: text().trim().min(1, 'what for?').max(200),
  how: text().trim().max(100),
  cents: Cents,
  minutes: z.number().min(0).max(100_000).optional(),
  costCents: Cents.min(0).optional(),
});
export const MakeBill = z.object({
  ...Target,
  lines: z.array(BillLine).min(1, 'what is charged? A line of 0 where nothing is').max(60),
  handedTo: text().trim().min(1, 'who took it?').max(120),
  paid: z.enum(['account', ...PAYMENTS], 'paid, or on account?'),
});
export type MakeBill = Sends<typeof MakeBill>;

const BillNumber = z.number().int().min(1).max(1e9);
export const CreditBill = z.object({ ...Target, number: BillNumber, reason: text().trim().min(3, 'say why').max(300) });
export type CreditBill = Sends<typeof CreditBill>;
export const PayBill = z.object({ id: Id, number: BillNumber, cents: Cents.refine((c) => c !== 0, 'how much?'), how: z.enum(PAYMENTS) });
export type PayBill = Sends<typeof PayBill>;
export const TellCustomer = z.object({ ...Target, text: text().trim().min(10, 'what are they told?').max(2000) });
export type TellCustomer = Sends<typeof TellCustomer>;
