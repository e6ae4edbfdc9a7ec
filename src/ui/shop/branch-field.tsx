'use client';

import { branchOf } from '@/core/shop/branch';
import { fieldsOf } from '../form/fields';
import { useBranches } from '../shell/shop-context';

const { Select } = fieldsOf<Record<string, unknown>>();

/** Which of the shop's branches; not asked in a shop of one place. The first is what was never said. */
export function BranchField({ name, label = 'Branch' }: { readonly name: string; readonly label?: string }) {
  const branches = useBranches();
  const first = branchOf(branches, null);
  if (first === undefined) return null;
  return (
    <Select name={name} label={label} className="w-40" options={branches.map((b) => ({ value: b === first ? '' : b.id, text: b.name }))} />
  );
}
