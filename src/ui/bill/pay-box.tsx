'use client';

import { useRouter } from 'next/navigation';
import { uuidv7 } from 'uuidv7';
import { payBillAction } from '@/app/actions/bill';
import { PAYMENT_WORDS, PAYMENTS, type PaymentHow } from '@/core/bill/bill';
import { amountOf, centsOf } from '@/core/quantity/cents';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

type Values = { readonly id: string; readonly cents: number | null; readonly how: PaymentHow | null };
const { Amount, Choice } = fieldsOf<Values>();

/** Notes what was paid on a bill, or given back where the shop owes. @param open cents */
export function PayBox({ number, open }: { readonly number: number; readonly open: number }) {
  const router = useRouter();
  const start: Values = { id: uuidv7(), cents: amountOf(Math.abs(open)), how: null };
  const paying = useAskForm(
    payBillAction,
    start,
    ({ id, cents, how }) => ({ id, number, cents: cents === null ? null : Math.sign(open) * centsOf(cents), how }),
    () => router.refresh(),
  );
  return (
    <ActionFormFrame
      of={paying}
      submit={open > 0 ? 'It was paid' : 'It was given back'}
      quiet
      className="mt-2 flex flex-wrap items-end gap-3"
    >
      <Amount name="cents" label={open > 0 ? 'Paid' : 'Given back'} className="w-32" />
      <Choice name="how" label="How" options={PAYMENTS.map((p) => ({ value: p, text: PAYMENT_WORDS[p] }))} />
    </ActionFormFrame>
  );
}
