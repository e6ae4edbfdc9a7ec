'use client';

import { useRouter } from 'next/navigation';
import { GROUPING_NAMES, GROUPINGS, type Grouping } from '@/core/book/grouping';
import { SelectField } from '../field/select-field';

/** By what units are laid beside each other. */
export function WhichHolds({ by }: { readonly by: Grouping }) {
  const router = useRouter();
  return (
    <SelectField
      label="Laid beside each other by"
      className="w-72"
      value={by}
      options={GROUPING_NAMES.map((g) => ({ value: g, text: GROUPINGS[g].label }))}
      onSay={(g) => router.push(`/book/holds?${new URLSearchParams({ by: g })}`)}
    />
  );
}
