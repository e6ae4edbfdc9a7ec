'use client';

import { useState } from 'react';
import { addMemberAction } from '@/app/actions/staff';
import { ROLE_WORDS, ROLES, type Role } from '@/core/people/role';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { BranchField } from './branch-field';
import { CodeGiven } from './code-given';

type NewMember = { readonly name: string; readonly role: Role; readonly bench: string; readonly branch: string };
const { Text, Select } = fieldsOf<NewMember>();
const BLANK: NewMember = { name: '', role: 'technician', bench: '', branch: '' };

/** Adds a person, and shows the code that they choose their PIN with. @param benches names of benches, as they are suggested */
export function AddMember({ benches }: { readonly benches: readonly string[] }) {
  const [added, setAdded] = useState<{ readonly name: string; readonly code: string }>();
  const saving = useAskForm(
    addMemberAction,
    BLANK,
    (values) => values,
    ({ code }) => {
      setAdded({ name: saving.form.getValues('name').trim(), code });
      saving.form.reset(BLANK);
      saving.form.setFocus('name');
    },
  );
  return (
    <section aria-label="Add a person" className="mb-4 grid max-w-3xl gap-3">
      <ActionFormFrame of={saving} submit="Add this person" className="grid gap-3">
        <div className="flex flex-wrap gap-3">
          <Text name="name" label="Name of somebody new" className="min-w-56 flex-1" maxLength={60} />
          <Select name="role" label="What they do" className="w-40" options={ROLES} say={ROLE_WORDS} />
          <Text name="bench" label="Usual bench" className="w-40" maxLength={40} suggested={benches} />
          <BranchField name="branch" />
        </div>
      </ActionFormFrame>
      {added !== undefined && <CodeGiven {...added} />}
    </section>
  );
}
