'use client';

import { useState } from 'react';
import { answerCustomerAction, askCustomerAction } from '@/app/actions/judge';
import type { Approval } from '@/core/judge/approval';
import { customerMessage, type Told } from '@/core/judge/customer-message';
import { sayMoney } from '@/core/quantity/say-money';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { Go } from '../shell/go';
import { useOddPromise } from '../shell/shop-context';
import { useStation } from '../unit/station-context';

type Question = { readonly price: number | null; readonly promisedAt: number | null; readonly text: string };
const { Text, Amount, Moment } = fieldsOf<Question>();

/** The customer's yes to a judgement that changes price or promise: asked in plain words, waited for, and noted. */
export function AskCustomer({
  customer,
  told,
  dueAt,
  asked,
  needed,
  open,
}: {
  readonly customer: string;
  /** What the message tells of; its price and day follow what is entered, until somebody words it otherwise. */
  readonly told: Told;
  readonly dueAt: number;
  /** The last question about the judgement as it stands. */
  readonly asked: Approval | undefined;
  readonly needed: boolean;
  readonly open: boolean;
}) {
  const { now, pot, tag } = useStation();
  const odd = useOddPromise();
  const answering = useSave(answerCustomerAction);
  const [writing, setWriting] = useState(needed && asked === undefined);
  const start: Question = { price: 0, promisedAt: dueAt, text: customerMessage(told, 0, dueAt) };
  const asking = useUnitForm(askCustomerAction, start, (v) => ({ ...v, pot }), { done: () => setWriting(false) });
  const reword = (news: Partial<Question>): void => {
    const { form } = asking;
    const { price, promisedAt } = { ...form.getValues(), ...news };
    if (!form.getFieldState('text').isDirty) form.resetField('text', { defaultValue: customerMessage(told, price, promisedAt) });
  };
  if (asked === undefined && !open) return null;
  return (
    <section className="mb-4 border-t border-hair pt-2">
      <h2 className="head mb-1">THE CUSTOMER’S YES</h2>
      {open && (
        <p className="mb-1 text-[13px]">
          By a question about this, or by{' '}
          <Go className="font-bold text-act" href={`/units/${tag}/options`}>
            a quote of all that can be done
          </Go>
          .
        </p>
      )}
      {asked !== undefined && (
        <div className="mb-2">
          <p title={sayFullDate(asked.at)}>
            Asked {sayWhen(asked.at, now)}:{' '}
            {asked.price === 0 ? 'no change of price' : `${asked.price > 0 ? '+' : ''}${sayMoney(asked.price)}`}, promised{' '}
            {sayWhen(asked.promisedAt, now)}.{' '}
            {asked.answer === null ? <b className="text-amber">Waiting.</b> : <b>Answered {asked.answer}.</b>}
          </p>
          {asked.answer === null && open && (
            <div className="mt-1 flex gap-2">
              <button type="button" className="btn" onClick={() => void answering.save({ approvalId: asked.id, answer: 'yes' })}>
                {customer} said yes
              </button>
              <button type="button" className="btn-quiet" onClick={() => void answering.save({ approvalId: asked.id, answer: 'no' })}>
                Said no
              </button>
            </div>
          )}
        </div>
      )}
      {open && (asked === undefined || asked.answer === 'no') && !writing && (
        <button type="button" className="btn-quiet" onClick={() => setWriting(true)}>
          Ask {customer} …
        </button>
      )}
      {open && writing && asked?.answer !== null && (
        <ActionFormFrame of={asking} submit="Send and wait" className="grid gap-2">
          <Text name="text" label="Message to the customer" hideLabel rows={7} maxLength={2000} />
          <div className="flex flex-wrap items-end gap-3">
            <Amount
              name="price"
              label="Added to the price"
              className="w-36"
              above={-100_000}
              then={(price: number | null) => reword({ price })}
            />
            <Moment name="promisedAt" label="New promise" odd={odd} then={(promisedAt: number | null) => reword({ promisedAt })} />
          </div>
        </ActionFormFrame>
      )}
      <SaveNote saving={answering.saving} onDecide={answering.decide} />
    </section>
  );
}
