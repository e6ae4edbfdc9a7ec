'use client';

import { Plus, X } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { makeBillAction } from '@/app/actions/bill';
import { PAYMENT_WORDS, PAYMENTS, type PaymentHow } from '@/core/bill/bill';
import { type ChargeLine, chargesOf } from '@/core/cost/charge';
import { CHARGE_WORDS, CHARGES, type Charge, type Price } from '@/core/cost/price';
import { amountOf, centsOf } from '@/core/quantity/cents';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { ChargeLines } from '../quote/charge-lines';

/** A line as it is typed: `cents` in the shop's money. */
type Typed = Omit<ChargeLine, 'cents'> & { readonly cents: number | null };
type Values = { readonly lines: readonly Typed[]; readonly handedTo: string; readonly paid: PaymentHow | 'account' | null };
const { Amount, Choice, Select, Text } = fieldsOf<Values>();
const PAID = [{ value: 'account', text: 'on account' }, ...PAYMENTS.map((p) => ({ value: p, text: `paid ${PAYMENT_WORDS[p]}` }))];
const KINDS = CHARGES.map((c) => ({ value: c, text: CHARGE_WORDS[c] }));

/** The bill of a unit: what was done and used, to be put right before it is given out. */
export function BillForm({
  lines,
  prices,
  handedTo,
}: {
  readonly lines: readonly ChargeLine[];
  readonly prices: readonly Price[];
  readonly handedTo: string;
}) {
  const start: Values = { lines: lines.map((l) => ({ ...l, cents: amountOf(l.cents) })), handedTo, paid: null };
  const making = useUnitForm(makeBillAction, start, (v) => ({
    lines: v.lines.map(inCents),
    handedTo: v.handedTo,
    paid: v.paid as PaymentHow,
  }));
  const { fields, append, remove } = useFieldArray({ control: making.form.control, name: 'lines' as never });
  const now = making.form.watch('lines').map((l) => ({ ...inCents(l), cents: inCents(l).cents ?? 0 }));
  return (
    <section aria-label="The bill">
      <h2 className="head mb-1">THE BILL</h2>
      <ActionFormFrame of={making} submit="Hand over and bill" className="grid gap-3">
        {fields.map((field, i) => (
          <div key={field.id} className="flex flex-wrap items-end gap-2">
            <Select
              name={`lines.${i}.charge`}
              label={i === 0 ? 'Kind' : `Kind ${i + 1}`}
              hideLabel={i > 0}
              options={KINDS}
              className="w-40"
            />
            <Text
              name={`lines.${i}.words`}
              label={i === 0 ? 'What for' : `What for ${i + 1}`}
              hideLabel={i > 0}
              maxLength={200}
              className="min-w-56 flex-1"
            />
            <Amount
              name={`lines.${i}.cents`}
              label={i === 0 ? 'Without tax' : `Without tax ${i + 1}`}
              hideLabel={i > 0}
              above={-10_000_000}
              className="w-32"
            />
            <button type="button" className="flex size-11 items-center justify-center text-ink2" onClick={() => remove(i)}>
              <X size={20} aria-hidden />
              <span className="sr-only">Take line {i + 1} off</span>
            </button>
          </div>
        ))}
        <button
          type="button"
          className="btn-quiet w-fit"
          onClick={() => append({ charge: 'work' as Charge, words: '', how: '', cents: null } as never)}
        >
          <Plus size={18} aria-hidden /> One more line
        </button>
        <div className="max-w-md border-y border-line py-2">
          <ChargeLines charges={chargesOf(now, prices)} head="What it comes to" />
        </div>
        <Text name="handedTo" label="Handed to" maxLength={120} className="max-w-md" />
        <Choice name="paid" label="How it is paid" options={PAID} wrap />
      </ActionFormFrame>
    </section>
  );
}

const inCents = (l: Typed): Omit<ChargeLine, 'cents'> & { readonly cents: number | null } => ({
  ...l,
  cents: typeof l.cents === 'number' ? centsOf(l.cents) : l.cents,
});
