'use client';

import { useWatch } from 'react-hook-form';
import { uuidv7 } from 'uuidv7';
import { correctStockAction, faultLotAction } from '@/app/actions/store';
import type { Lot } from '@/core/store/article';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

type Count = { readonly counted: number | null; readonly reason: 'counted' | 'adjusted'; readonly note: string };
const { Amount, Choice, Text } = fieldsOf<Count>();
const Warning = fieldsOf<{ readonly fault: string }>();

/** A lot as it was counted or put right, and what is wrong with it. */
export function LotForm({ lot, onDone }: { readonly lot: Lot; readonly onDone: () => void }) {
  const start: Count = { counted: lot.qty, reason: 'counted', note: '' };
  const counting = useAskForm(correctStockAction, start, (v) => ({ id: uuidv7(), lotId: lot.id, ...v }), onDone);
  const warning = useAskForm(faultLotAction, { fault: lot.fault }, ({ fault }) => ({ lotId: lot.id, fault }), onDone);
  const reason = useWatch({ control: counting.form.control, name: 'reason' });
  return (
    <div className="grid gap-2 border-t border-hair py-2">
      <ActionFormFrame of={counting} submit="Note it" className="flex flex-wrap items-end gap-2">
        <Amount name="counted" label="There are" className="w-20" above={-1} />
        <Choice
          name="reason"
          label="Why"
          options={[
            { value: 'counted', text: 'counted' },
            { value: 'adjusted', text: 'put right' },
          ]}
        />
        <Text
          name="note"
          label="Reason"
          hideLabel
          className="w-56"
          placeholder={reason === 'adjusted' ? 'Reason' : 'Note'}
          maxLength={200}
        />
      </ActionFormFrame>
      <ActionFormFrame of={warning} submit="Warn of it" quiet className="flex flex-wrap items-end gap-2">
        <Warning.Text name="fault" label="Known fault of this lot; empty: none" className="min-w-56 flex-1" maxLength={200} />
      </ActionFormFrame>
    </div>
  );
}
