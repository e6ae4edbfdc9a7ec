'use client';

import { useRouter } from 'next/navigation';
import { handleMessageAction } from '@/app/actions/messages';
import { capital } from '@/core/capital';
import { MESSAGE_WORDS, type MessageState, OPEN_STATES } from '@/core/message/message';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { tagOf } from '@/core/unit/unit-record';
import { Tag } from '../drawing/tag';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Go } from '../shell/go';

type Shown = {
  readonly message: {
    readonly id: string;
    readonly at: number;
    readonly to: string;
    readonly mail: string;
    readonly subject: string;
    readonly text: string;
    readonly state: MessageState;
    readonly nextAt: number | null;
    readonly fault: string;
  };
  readonly tagNo: number;
  readonly machine: string;
  readonly customerId: string;
};

/** Messages with how each stands; what somebody has to look after has its buttons. */
export function Outbox({ messages, now }: { readonly messages: readonly Shown[]; readonly now: number }) {
  const router = useRouter();
  const { ask, asking, told } = useAsk();
  const handle = async (id: string, how: 'read' | 'again'): Promise<void> => {
    if ((await ask(handleMessageAction, { id, how })) !== undefined) router.refresh();
  };
  return (
    <>
      <Told lines={told} />
      {messages.map(({ message: m, tagNo, machine, customerId }) => {
        const open = OPEN_STATES.includes(m.state);
        return (
          <article key={m.id} className="border-b border-hair bg-sheet px-3 py-2">
            <p className="flex flex-wrap items-center gap-x-3">
              <Go href={`/units/${tagOf({ tagNo })}`}>
                <Tag text={tagOf({ tagNo })} />
              </Go>
              <Go href={`/customers/${customerId}`} className="font-bold text-act">
                {m.to}
              </Go>
              <span className="text-ink2">{m.mail === '' ? machine : m.mail}</span>
              <b className={open ? 'text-amber' : ''}>{capital(MESSAGE_WORDS[m.state])}</b>
              <span className="ml-auto text-ink2" title={sayFullDate(m.at)}>
                {sayWhen(m.at, now)}
              </span>
            </p>
            {m.fault !== '' && (
              <p className="text-red">
                {m.fault}
                {m.state === 'waiting' && m.nextAt !== null ? `; tried again ${sayWhen(m.nextAt, now)}` : ''}
              </p>
            )}
            {m.subject !== '' && <p className="mt-1 font-bold">{m.subject}</p>}
            <p className="mt-1 break-words whitespace-pre-line">{m.text}</p>
            {(open || m.state === 'waiting') && (
              <p className="mt-1 flex flex-wrap gap-2">
                <button type="button" className="btn-quiet" disabled={asking} onClick={() => void handle(m.id, 'read')}>
                  {m.state === 'unsure' ? 'It arrived' : 'I told them'}
                  <span className="sr-only">: {m.to}</span>
                </button>
                {open && m.mail !== '' && (
                  <button type="button" className="btn-quiet" disabled={asking} onClick={() => void handle(m.id, 'again')}>
                    Send it again<span className="sr-only">: {m.to}</span>
                  </button>
                )}
              </p>
            )}
          </article>
        );
      })}
    </>
  );
}
