'use client';

import { tellCustomerAction } from '@/app/actions/bill';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';

const { Text } = fieldsOf<{ readonly text: string }>();

/** Tells the customer that their unit is ready. @param reach how it reaches them */
export function TellCustomer({ reach, words }: { readonly reach: string; readonly words: string }) {
  const telling = useUnitForm(tellCustomerAction, { text: words }, ({ text }) => ({ text }), { kind: 'adds' });
  return (
    <section aria-label="Tell the customer" className="border-t border-hair pt-3">
      <h2 className="head mb-1">TELL THE CUSTOMER</h2>
      <p className="mb-1 text-ink2">{reach}</p>
      <ActionFormFrame of={telling} submit="Tell them" quiet className="grid gap-2">
        <Text name="text" label="Message" hideLabel rows={3} maxLength={2000} />
      </ActionFormFrame>
    </section>
  );
}
