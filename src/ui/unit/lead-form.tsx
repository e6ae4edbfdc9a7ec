'use client';

import { leaveAction, reopenAction } from '@/app/actions/release';
import { STATION_WORDS, type Station } from '@/core/station';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';

export type LeadProps = {
  /** Stations that can be opened again: those signed off, and the one that a unit left from. */
  readonly canReopen: readonly Station[];
  readonly inShop: boolean;
};
type Reopening = { readonly reason: string; readonly station: Station | null };
const { Text, Select } = fieldsOf<Reopening>();

/** What only a lead or the owner may do to a unit, always with a reason: open a station again, scrap it, hand it back unrepaired. */
export function LeadForm({ canReopen, inShop }: LeadProps) {
  const reopening = useUnitForm(reopenAction, { reason: '', station: null } as Reopening, (values) => values);
  const leaving = useSave(leaveAction);
  const reason = reopening.form.watch('reason');
  const leave = (exit: 'returned' | 'scrapped', words: string) => (
    <button type="button" className="btn-quiet" disabled={reason.trim().length < 3} onClick={() => void leaving.save({ exit, reason })}>
      {words}
    </button>
  );
  return (
    <div className="grid gap-2 pt-2">
      <ActionFormFrame
        of={reopening}
        submit="Reopen"
        quiet
        className="grid gap-2"
        beside={
          inShop && (
            <>
              {leave('returned', 'Hand back unrepaired')}
              {leave('scrapped', 'Scrap')}
            </>
          )
        }
      >
        <Text name="reason" label="Reason" hideLabel placeholder="Reason; stands in the history" />
        <Select name="station" label="Station to reopen" hideLabel none="Station …" options={canReopen} say={STATION_WORDS} />
      </ActionFormFrame>
      <SaveNote saving={leaving.saving} onDecide={leaving.decide} />
    </div>
  );
}
