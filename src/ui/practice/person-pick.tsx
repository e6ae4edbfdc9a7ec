'use client';

import { useRouter } from 'next/navigation';
import { SelectField } from '../field/select-field';

/** Whose skills are shown. */
export function PersonPick({
  people,
  shown,
}: {
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly shown: string;
}) {
  const router = useRouter();
  return (
    <SelectField
      label="Whose"
      className="mb-3 w-64"
      value={shown}
      options={people.map((p) => ({ value: p.id, text: p.name }))}
      onSay={(id) => router.push(`/practice/skills?${new URLSearchParams({ of: id })}`)}
    />
  );
}
