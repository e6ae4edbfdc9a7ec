'use client';

import { useRouter } from 'next/navigation';
import { eraseCustomerAction } from '@/app/actions/customers';
import { type Customer, WHAT_STAYS } from '@/core/customer/customer';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

const { Text } = fieldsOf<{ readonly name: string }>();

/** Erases a customer who asks for it; what stays is said before. */
export function EraseBox({ customer }: { readonly customer: Customer }) {
  const router = useRouter();
  const erasing = useAskForm(
    eraseCustomerAction,
    { name: '' },
    ({ name }) => ({ id: customer.id, name }),
    () => router.refresh(),
  );
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-bold text-act">They ask to be erased …</summary>
      <div className="grid gap-2 border-l-4 border-amber pl-3">
        <p>Name, telephone, mail and address go, and the name wherever it was written. It cannot be taken back.</p>
        <ul className="list-disc pl-5 text-[13px]">
          {WHAT_STAYS.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
        <ActionFormFrame of={erasing} submit={`Erase ${customer.name}`} quiet className="grid gap-2">
          <Text name="name" label="Type their name to confirm" maxLength={120} />
        </ActionFormFrame>
      </div>
    </details>
  );
}
