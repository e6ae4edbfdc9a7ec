'use client';

import { useRouter } from 'next/navigation';
import { PIN_WORDS, pinAsked } from '@/core/people/pin';
import type { Person } from '@/core/people/role';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import type { Ask } from '../save/use-ask';

type Chosen = { readonly personId: string; readonly code: string; readonly pin: string; readonly again: string };
const { Text, Select } = fieldsOf<Chosen>();

/** A PIN of one's own, by the code that the owner gave. */
export function ChoosePin({
  people,
  to,
  choosePin,
}: {
  readonly people: readonly Person[];
  readonly to: string;
  readonly choosePin: Ask<Chosen>;
}) {
  const router = useRouter();
  const saving = useAskForm(
    choosePin,
    { personId: '', code: '', pin: '', again: '' },
    (values) => values,
    () => router.replace(to),
  );
  const role = people.find((p) => p.id === saving.form.watch('personId'))?.role ?? 'technician';
  return (
    <ActionFormFrame of={saving} submit="Set it and sign in" className="grid max-w-xl gap-3">
      <p className="text-ink2">The owner of the shop gives you a one-time code. With it you choose what you sign in by from then on.</p>
      <div className="flex flex-wrap gap-3">
        <Select
          name="personId"
          label="Your name"
          className="w-56"
          none="Pick your name"
          options={people.map((p) => ({ value: p.id, text: p.name }))}
        />
        <Text name="code" label="One-time code" className="w-48" maxLength={40} placeholder="ABCDE-FGHJK" />
      </div>
      <div className="flex flex-wrap gap-3">
        <Text name="pin" label={`New ${PIN_WORDS[role]}: ${pinAsked(role)}`} className="w-56" maxLength={65} type="password" />
        <Text name="again" label="The same again" className="w-48" maxLength={65} type="password" />
      </div>
    </ActionFormFrame>
  );
}
