'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { ages } from '@/core/kit/bag';
import { sayWhen } from '@/core/quantity/say-time';
import type { Stocked } from '@/core/store/article';
import type { OpenOrder } from '@/core/store/stock-record';
import type { useAsk } from '../save/use-ask';
import type { StockActions } from './stock-actions';

const DAY_MS = 86_400_000;
const day = (at: number): string => new Date(at).toISOString().slice(0, 10);
/** The end of a day, as a person means a date: good until and including it. */
const endOf = (text: string): number => new Date(`${text}T23:59:59`).getTime();

/** What comes in, what is ordered, and where to order. */
export function StockForms({
  article,
  orders,
  computedReorder,
  asking: { ask, asking },
  actions,
  now,
}: {
  readonly article: Stocked;
  readonly orders: readonly OpenOrder[];
  readonly computedReorder: number;
  readonly asking: ReturnType<typeof useAsk>;
  readonly actions: StockActions;
  readonly now: number;
}) {
  const aging = ages(article);
  const [lot, setLot] = useState('');
  const [qty, setQty] = useState('1');
  const [until, setUntil] = useState('');
  const [orderQty, setOrderQty] = useState('1');
  const [expected, setExpected] = useState(day(now + (article.leadDays ?? 7) * DAY_MS));
  const [reorder, setReorder] = useState(article.reorderAt === null ? '' : String(article.reorderAt));
  const whole = (text: string): boolean => /^[1-9]\d*$/.test(text);
  const receive = (orderId: string | null, pieces: number) =>
    ask(actions.receive, {
      id: uuidv7(),
      articleId: article.id,
      lot,
      qty: pieces,
      expiresAt: until === '' ? null : endOf(until),
      orderId,
    });
  const ready = lot.trim() !== '' && (!aging || until !== '') && !asking;
  return (
    <>
      <section aria-label="Receive">
        <h2 className="head mb-1">RECEIVE</h2>
        <div className="flex flex-wrap items-end gap-2">
          <label className="label mb-0">
            Lot, as on the bag
            <input className="field w-32 text-ink" value={lot} maxLength={60} onChange={(e) => setLot(e.target.value)} />
          </label>
          <label className="label mb-0">
            {aging ? 'Good until' : 'Good until, if it ages'}
            <input type="date" className="field w-40 text-ink" value={until} onChange={(e) => setUntil(e.target.value)} />
          </label>
          <label className="label mb-0">
            Pieces
            <input className="field w-20 text-ink" inputMode="numeric" value={qty} onChange={(e) => setQty(e.target.value)} />
          </label>
          <button type="button" className="btn" disabled={!ready || !whole(qty)} onClick={() => void receive(null, Number(qty))}>
            Take in
          </button>
        </div>
        {aging && (
          <p className="mt-1 text-[13px] text-ink2">Rubber ages in the bag: its date is asked, and past it nothing of the lot is fitted.</p>
        )}
      </section>
      <section aria-label="On order">
        <h2 className="head mb-1">ON ORDER</h2>
        {orders.length === 0 && <p className="text-ink2">Nothing.</p>}
        {orders.map((o) => (
          <p key={o.id} className="flex flex-wrap items-center gap-2 border-b border-hair py-1">
            <b>{o.qty}</b>
            <span className={o.expectedAt < now ? 'text-amber' : ''}>expected {sayWhen(o.expectedAt, now)}</span>
            {o.tagNo !== null && <span>for SQ-{String(o.tagNo).padStart(4, '0')}</span>}
            <button
              type="button"
              className="btn-quiet ml-auto"
              title="Its lot and date are those above"
              disabled={!ready}
              onClick={() => void receive(o.id, o.qty)}
            >
              It came
            </button>
          </p>
        ))}
        <div className="mt-2 flex flex-wrap items-end gap-2">
          <label className="label mb-0">
            Pieces
            <input className="field w-20 text-ink" inputMode="numeric" value={orderQty} onChange={(e) => setOrderQty(e.target.value)} />
          </label>
          <label className="label mb-0">
            Expected
            <input type="date" className="field w-40 text-ink" value={expected} onChange={(e) => setExpected(e.target.value)} />
          </label>
          <button
            type="button"
            className="btn-quiet"
            disabled={asking || !whole(orderQty) || expected === '' || article.supersededBy !== null}
            onClick={() =>
              void ask(actions.order, { id: uuidv7(), articleId: article.id, qty: Number(orderQty), expectedAt: endOf(expected) })
            }
          >
            Order
          </button>
        </div>
      </section>
      <section aria-label="Order at">
        <h2 className="head mb-1">ORDER AT</h2>
        <p className="text-[13px] text-ink2">
          By use of the last half year and the days to get it: {computedReorder}.{' '}
          {article.reorderAt !== null && `Set by hand: ${article.reorderAt}.`}
        </p>
        <div className="mt-1 flex flex-wrap items-end gap-2">
          <label className="label mb-0">
            By hand; empty: by use
            <input className="field w-24 text-ink" inputMode="numeric" value={reorder} onChange={(e) => setReorder(e.target.value)} />
          </label>
          <button
            type="button"
            className="btn-quiet"
            disabled={asking || (reorder !== '' && !/^\d+$/.test(reorder))}
            onClick={() => void ask(actions.reorder, { articleId: article.id, reorderAt: reorder === '' ? null : Number(reorder) })}
          >
            Keep
          </button>
        </div>
      </section>
    </>
  );
}
