'use client';

import { useState } from 'react';
import type { Approval } from '@/core/judge/approval';
import type { AnswerCustomer, AskCustomer as AskCustomerSent } from '@/core/judge/judge-doors';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { DateField } from '../field/date-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** The customer's yes to a judgement that changes price or promise: asked in plain words, waited for, and noted. */
export function AskCustomer({
  target,
  customer,
  suggested,
  dueAt,
  asked,
  needed,
  now,
  open,
  ask,
  answer,
}: {
  readonly target: UnitTarget;
  readonly customer: string;
  /** The judgement in words fit to read to a customer. */
  readonly suggested: string;
  readonly dueAt: number;
  /** The last question about the judgement as it stands. */
  readonly asked: Approval | undefined;
  readonly needed: boolean;
  readonly now: number;
  readonly open: boolean;
  readonly ask: SaveAction<AskCustomerSent>;
  readonly answer: SaveAction<AnswerCustomer>;
}) {
  const asking = useSave(ask, target);
  const answering = useSave(answer, target);
  const [writing, setWriting] = useState(needed && asked === undefined);
  const [price, setPrice] = useState('0');
  const [promisedAt, setPromised] = useState(dueAt);
  const [text, setText] = useState(suggested);
  const cost = Number(price.replace(',', '.'));
  if (asked === undefined && !open) return null;
  return (
    <section className="mb-4 border-t border-hair pt-2">
      <h2 className="head mb-1">THE CUSTOMER’S YES</h2>
      {asked !== undefined && (
        <div className="mb-2">
          <p title={sayFullDate(asked.at)}>
            Asked {sayWhen(asked.at, now)}:{' '}
            {asked.price === 0 ? 'no change of price' : `${asked.price > 0 ? '+' : ''}${asked.price.toFixed(2)}`}, promised{' '}
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
        <form
          className="grid gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            void asking.save({ price: cost, promisedAt, text }).then((r) => r.ok && setWriting(false));
          }}
        >
          <textarea
            className="field min-h-24 py-2"
            aria-label="Message to the customer"
            value={text}
            maxLength={2000}
            onChange={(e) => setText(e.target.value)}
          />
          <div className="flex flex-wrap items-end gap-3">
            <label className="label mb-0">
              Added to the price
              <input className="field w-24 text-ink" inputMode="decimal" value={price} onChange={(e) => setPrice(e.target.value)} />
            </label>
            <DateField label="New promise" value={promisedAt} onSay={setPromised} />
          </div>
          <button type="submit" className="btn w-fit" disabled={!Number.isFinite(cost) || text.trim().length < 10}>
            Send and wait
          </button>
        </form>
      )}
      <SaveNote saving={asking.saving} onAcceptTheirs={asking.acceptTheirs} />
      <SaveNote saving={answering.saving} onAcceptTheirs={answering.acceptTheirs} />
    </section>
  );
}
