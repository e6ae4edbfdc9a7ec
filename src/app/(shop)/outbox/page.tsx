import type { Metadata } from 'next';
import { messagesOf } from '@/db/customer/outbox';
import { theDb } from '@/db/engine/connection';
import { Outbox } from '@/ui/message/outbox';
import { mailGoes } from '../../_server/mail-goes';

export const metadata: Metadata = { title: 'Outbox' };

const SHOWN = 200;

/** Messages to customers: what went, what did not, and what is to be read out. */
export default async function OutboxPage() {
  const { shown, inAll } = await messagesOf(await theDb(), SHOWN);
  return (
    <div className="max-w-4xl px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Messages to customers</h1>
      <p className="mb-3 text-ink2">
        {mailGoes() === 'none'
          ? 'No mail server is set: messages to a mail address wait here. Read them out, or set one (EDDRIN_SMTP).'
          : 'What has a mail address goes by itself; the others are read out here.'}
        {inAll > shown.length ? ` ${shown.length} of ${inAll} are shown.` : ''}
      </p>
      {shown.length === 0 && <p>Nothing has been written. A question to a customer is written at Judge, a quote at a unit’s options.</p>}
      <Outbox messages={shown} now={Date.now()} />
    </div>
  );
}
