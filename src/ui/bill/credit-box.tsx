'use client';

import { creditBillAction } from '@/app/actions/bill';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';

const { Text } = fieldsOf<{ readonly reason: string }>();

/** Takes a bill back by a credit note; another bill may follow. */
export function CreditBox({ number }: { readonly number: number }) {
  const crediting = useUnitForm(creditBillAction, { reason: '' }, ({ reason }) => ({ number, reason }));
  return (
    <details className="mt-2">
      <summary className="min-h-11 cursor-pointer py-2 font-bold text-act">Something on it is wrong …</summary>
      <ActionFormFrame of={crediting} submit={`Take bill ${number} back`} quiet className="grid gap-2">
        <p className="text-ink2">A credit note takes all of it back; then it is billed anew. Neither number is used again.</p>
        <Text name="reason" label="What is wrong" maxLength={300} className="max-w-md" />
      </ActionFormFrame>
    </details>
  );
}
