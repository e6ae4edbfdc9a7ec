'use client';

import { uuidv7 } from 'uuidv7';
import { orderAction, receiveAction, reorderAction } from '@/app/actions/store';
import { ages } from '@/core/kit/bag';
import { sayWhen } from '@/core/quantity/say-time';
import type { Stocked } from '@/core/store/article';
import type { OpenOrder } from '@/core/store/stock-record';
import { tagOf } from '@/core/unit/unit-record';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';

const DAY_MS = 86_400_000;
/** The end of a day, as a person means a date: good until and including it. */
const END_OF_DAY = 23 + 59 / 60;

type Delivery = {
  readonly lot: string;
  readonly expiresAt: number | null;
  readonly qty: number | null;
  readonly orderId: string | null;
};
const Came = fieldsOf<Delivery>();
type Wish = { readonly qty: number | null; readonly expectedAt: number | null };
const Wanted = fieldsOf<Wish>();
const Least = fieldsOf<{ readonly reorderAt: number | null }>();

/** What comes in, what is ordered, and where to order. */
export function StockForms({
  article,
  orders,
  computedReorder,
  now,
}: {
  readonly article: Stocked;
  readonly orders: readonly OpenOrder[];
  readonly computedReorder: number;
  readonly now: number;
}) {
  const aging = ages(article);
  const nothing: Delivery = { lot: '', expiresAt: null, qty: 1, orderId: null };
  const receiving = useAskForm(receiveAction, nothing, (v) => ({ id: uuidv7(), articleId: article.id, ...v }));
  const wanted: Wish = { qty: 1, expectedAt: new Date(now + (article.leadDays ?? 7) * DAY_MS).setHours(16, 0, 0, 0) };
  const ordering = useAskForm(orderAction, wanted, (v) => ({ id: uuidv7(), articleId: article.id, ...v }));
  const keeping = useAskForm(reorderAction, { reorderAt: article.reorderAt }, (v) => ({ articleId: article.id, ...v }));
  const itCame = (order: OpenOrder): void => {
    receiving.form.setValue('orderId', order.id);
    receiving.form.setValue('qty', order.qty);
    // What was not taken in is not that order's delivery any more.
    void receiving.submit().then(() => receiving.form.setValue('orderId', null));
  };
  return (
    <>
      <section aria-label="Receive">
        <h2 className="head mb-1">RECEIVE</h2>
        <ActionFormFrame of={receiving} submit="Take in" className="flex flex-wrap items-end gap-2">
          <Came.Text name="lot" label="Lot, as on the bag" className="w-32" maxLength={60} />
          <Came.Moment name="expiresAt" label={aging ? 'Good until' : 'Good until, if it ages'} hour={END_OF_DAY} />
          <Came.Amount name="qty" label="Pieces" className="w-20" />
        </ActionFormFrame>
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
            {o.tagNo !== null && <span>for {tagOf({ tagNo: o.tagNo })}</span>}
            <button
              type="button"
              className="btn-quiet ml-auto"
              title="Its lot and date are those above"
              disabled={receiving.busy}
              onClick={() => itCame(o)}
            >
              It came
            </button>
          </p>
        ))}
        <ActionFormFrame
          of={ordering}
          submit="Order"
          quiet
          may={article.supersededBy === null}
          className="mt-2 flex flex-wrap items-end gap-2"
        >
          <Wanted.Amount name="qty" label="Pieces" className="w-20" />
          <Wanted.Moment name="expectedAt" label="Expected" />
        </ActionFormFrame>
      </section>
      <section aria-label="Order at">
        <h2 className="head mb-1">ORDER AT</h2>
        <p className="text-[13px] text-ink2">
          By use of the last half year and the days to get it: {computedReorder}.{' '}
          {article.reorderAt !== null && `Set by hand: ${article.reorderAt}.`}
        </p>
        <ActionFormFrame of={keeping} submit="Keep" quiet className="mt-1 flex flex-wrap items-end gap-2">
          <Least.Amount name="reorderAt" label="By hand; empty: by use" className="w-40" above={-1} />
        </ActionFormFrame>
      </section>
    </>
  );
}
