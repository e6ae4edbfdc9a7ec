import type { Metadata } from 'next';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { tagOf } from '@/core/unit/unit-record';
import { sentMessages } from '@/db/customer/approval';
import { theDb } from '@/db/engine/connection';
import { Tag } from '@/ui/drawing/tag';
import { Go } from '@/ui/shell/go';

export const metadata: Metadata = { title: 'Outbox' };

/** What went out to customers. The stand-in for a shop's own way of sending: it only keeps the messages here. */
export default async function OutboxPage() {
  const messages = await sentMessages(await theDb());
  const now = Date.now();
  return (
    <div className="max-w-4xl px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Outbox</h1>
      <p className="mb-3 text-ink2">Messages to customers. Nothing leaves this machine yet: read them out, or copy them.</p>
      {messages.length === 0 && <p>Nothing has been sent. A question to a customer is written at Judge.</p>}
      {messages.map((m) => (
        <article key={m.id} className="border-b border-hair bg-sheet px-3 py-2">
          <p className="flex flex-wrap items-center gap-3">
            <Go href={`/units/${tagOf(m)}/judge`}>
              <Tag text={tagOf(m)} />
            </Go>
            <b>{m.to}</b>
            <span className="text-ink2">{m.machine}</span>
            <span className="ml-auto text-ink2" title={sayFullDate(m.at)}>
              {sayWhen(m.at, now)}
            </span>
          </p>
          <p className="mt-1 whitespace-pre-line">{m.text}</p>
        </article>
      ))}
    </div>
  );
}
