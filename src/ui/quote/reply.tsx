'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { replyToQuoteAction } from '@/app/actions/quote';
import { capital } from '@/core/capital';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';

const { Text } = fieldsOf<{ readonly reply: { readonly text: string } }>();

/** The customer's answer: one of the options, a question, or no. Each is sent once, however often it is pressed. */
export function Reply({
  quoteKey,
  options,
}: {
  readonly quoteKey: string;
  readonly options: readonly { readonly id: string; readonly words: string; readonly total: string }[];
}) {
  const router = useRouter();
  const [eventId] = useState(uuidv7);
  const [chosen, setChosen] = useState<string>();
  const { ask, asking, told } = useAsk();
  const question = useAskForm(
    replyToQuoteAction,
    { reply: { text: '' } },
    ({ reply }) => ({ key: quoteKey, eventId, reply: { said: 'asks' as const, text: reply.text } }),
    () => router.refresh(),
  );
  const say = async (reply: { readonly said: 'picks'; readonly option: string } | { readonly said: 'no' }): Promise<void> => {
    if ((await ask(replyToQuoteAction, { key: quoteKey, eventId, reply })) !== undefined) router.refresh();
  };
  const option = options.find((o) => o.id === chosen);
  return (
    <section className="grid gap-4 border-t border-line pt-3" aria-label="Your answer">
      <h2 className="text-[17px] font-bold">Your answer</h2>
      <fieldset className="grid gap-1">
        <legend className="label">Which shall we do?</legend>
        {options.map((o) => (
          <label key={o.id} className="flex min-h-[44px] items-center gap-3 border border-line bg-sheet px-3">
            <input
              type="radio"
              name="option"
              className="size-5 accent-act"
              checked={chosen === o.id}
              onChange={() => setChosen(o.id)}
              value={o.id}
            />
            <span className="flex-1">{capital(o.words)}</span>
            <b>{o.total}</b>
          </label>
        ))}
      </fieldset>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn"
          disabled={option === undefined || asking}
          onClick={() => option !== undefined && void say({ said: 'picks', option: option.id })}
        >
          {option === undefined ? 'Yes: choose one first' : `Yes: ${option.words}, ${option.total}`}
        </button>
        <button type="button" className="btn-quiet" disabled={asking} onClick={() => void say({ said: 'no' })}>
          No, to none of these
        </button>
      </div>
      <Told lines={told} />
      <ActionFormFrame of={question} submit="Send the question" quiet className="grid gap-2">
        <Text name="reply.text" label="Or ask us something first" rows={3} maxLength={1000} />
      </ActionFormFrame>
    </section>
  );
}
