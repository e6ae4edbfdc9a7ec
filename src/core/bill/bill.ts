import type { Charges } from '../cost/charge';
import type { OptionKind } from '../quote/option-kind';
import type { BoreWay } from '../way';

/** How a bill is paid. */
export const PAYMENT_WORDS = { cash: 'in cash', card: 'by card', transfer: 'by bank transfer' } as const;
export type PaymentHow = keyof typeof PAYMENT_WORDS;
export const PAYMENTS = Object.keys(PAYMENT_WORDS) as [PaymentHow, ...PaymentHow[]];

/** What was done for the money: how the bore was made good, that there was none, or what was chosen in place of that. */
export type BillWay = BoreWay | 'no-bore' | Exclude<OptionKind, 'repair' | 'sleeve'>;

/** A bill or a credit note, as it was given out: never changed, its numbers neither repeated nor left out. Money in whole cents, times in ms since 1970. */
export type Bill = {
  readonly number: number;
  readonly unitId: string;
  readonly customerId: string;
  readonly at: number;
  readonly personId: string;
  readonly to: readonly string[];
  readonly tag: string;
  readonly unit: string;
  readonly machine: string;
  readonly way: BillWay;
  readonly charges: Charges;
  readonly handedTo: string;
} & (
  | { readonly kind: 'bill' }
  /** Takes all of a bill back. */
  | { readonly kind: 'credit'; readonly of: number; readonly reason: string }
);

export type Payment = { readonly id: string; readonly bill: number; readonly at: number; readonly cents: number; readonly how: PaymentHow };

/** What is still to be paid of a bill, cents; below 0 where it is the shop that owes. */
export const openOf = (bill: Bill, all: readonly Bill[], payments: readonly Payment[]): number =>
  bill.charges.total +
  all.reduce((sum, b) => sum + (b.kind === 'credit' && b.of === bill.number ? b.charges.total : 0), 0) -
  payments.reduce((sum, p) => sum + (p.bill === bill.number ? p.cents : 0), 0);

/** The bill of a unit that stands: the last that no credit note has taken back. */
export const standingBill = (all: readonly Bill[]): Bill | undefined =>
  all.findLast((b) => b.kind === 'bill' && !all.some((c) => c.kind === 'credit' && c.of === b.number));

/** All of a bill the other way round. */
export const creditOf = ({ lines, net, taxes, rounding, total }: Charges): Charges => ({
  lines: lines.map((l) => ({
    ...l,
    cents: -l.cents,
    ...(l.minutes === undefined ? {} : { minutes: -l.minutes }),
    ...(l.costCents === undefined ? {} : { costCents: -l.costCents }),
  })),
  net: -net,
  taxes: taxes.map((t) => ({ ...t, on: -t.on, cents: -t.cents })),
  rounding: -rounding,
  total: -total,
});
