'use client';

import { useRouter } from 'next/navigation';
import { editCustomerAction } from '@/app/actions/customers';
import type { Customer, Entered } from '@/core/customer/customer';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

const { Text } = fieldsOf<Entered>();

/** How a customer is reached. */
export function CustomerForm({ customer, open }: { readonly customer: Customer; readonly open: boolean }) {
  const router = useRouter();
  const { id, editedAt, name, phone, mail, address } = customer;
  const saving = useAskForm(
    editCustomerAction,
    { name, phone, mail, address },
    (values) => ({ id, seen: editedAt, ...values }),
    () => router.refresh(),
  );
  return (
    <ActionFormFrame of={saving} submit={open ? 'Save' : null} className="grid gap-2">
      <fieldset disabled={!open} className="contents">
        <Text name="name" label="Name" maxLength={120} />
        <Text name="phone" label="Telephone" inputMode="tel" maxLength={40} />
        <Text name="mail" label="Mail" maxLength={200} />
        <Text name="address" label="Address" rows={3} maxLength={300} />
      </fieldset>
    </ActionFormFrame>
  );
}
