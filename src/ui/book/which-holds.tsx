'use client';

import { useRouter } from 'next/navigation';
import { GROUPING_NAMES, GROUPINGS, type Grouping } from '@/core/book/grouping';
import { SelectField } from '../field/select-field';

/** By what units are laid beside each other; whoever teaches may ask for one person’s in private. */
export function WhichHolds({
  by,
  people,
  person,
}: {
  readonly by: Grouping;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly person: string | null;
}) {
  const router = useRouter();
  const go = (asked: { readonly [name: string]: string }): void => router.push(`/book/holds?${new URLSearchParams(asked)}`);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SelectField
        label="Laid beside each other by"
        className="w-72"
        value={by}
        options={GROUPING_NAMES.map((g) => ({ value: g, text: GROUPINGS[g].label }))}
        onSay={(g) => go({ by: g })}
      />
      {people.length > 0 && (
        <SelectField
          label="One person’s, for teaching; only you see it"
          className="w-72"
          none="nobody’s"
          value={person}
          options={people.map((p) => ({ value: p.id, text: p.name }))}
          onSay={(id) => go(id === null ? { by } : { person: id })}
        />
      )}
    </div>
  );
}
