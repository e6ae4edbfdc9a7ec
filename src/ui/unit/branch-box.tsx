'use client';

import { useState } from 'react';
import { receiveAtBranchAction, sendToBranchAction } from '@/app/actions/unit';
import { branchOf } from '@/core/shop/branch';
import type { Unit } from '@/core/unit/unit-record';
import { SelectField } from '../field/select-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useBranches } from '../shell/shop-context';

/** Where the unit is, a way to send it to another branch, and to receive it there. Nothing in a shop of one place. */
export function BranchBox({ unit }: { readonly unit: Pick<Unit, 'branch' | 'goesTo'> }) {
  const branches = useBranches();
  const here = branchOf(branches, unit.branch);
  const others = branches.filter((b) => b.id !== here?.id);
  const [to, setTo] = useState(others[0]?.id ?? '');
  const [sending, receiving] = [useSave(sendToBranchAction), useSave(receiveAtBranchAction)];
  if (here === undefined || others.length === 0) return null;
  const goesTo = unit.goesTo === null ? undefined : branchOf(branches, unit.goesTo);
  return (
    <section className="border-t border-hair pt-3">
      <h2 className="head mb-1">Branch</h2>
      {goesTo === undefined ? (
        <div className="flex flex-wrap items-end gap-2">
          <p className="self-center">At {here.name}</p>
          <SelectField label="Send it to" value={to} onSay={setTo} options={others.map((b) => ({ value: b.id, text: b.name }))} />
          <button type="button" className="btn-quiet" onClick={() => void sending.save({ branch: to })}>
            Send
          </button>
        </div>
      ) : (
        <>
          <p className="border-l-4 border-amber pl-3">
            On its way from {here.name} to {goesTo.name}. Nothing is noted of it before it is received there.
          </p>
          <button type="button" className="btn mt-2" onClick={() => void receiving.save({})}>
            Received at {goesTo.name}
          </button>
        </>
      )}
      <SaveNote saving={sending.saving} onDecide={sending.decide} />
      <SaveNote saving={receiving.saving} onDecide={receiving.decide} />
    </section>
  );
}
