'use client';

import { sayDims } from '@/core/family/say-dims';
import { type Fitment, sayFitment } from '@/core/identify/fitment';
import { sayMoney } from '@/core/quantity/say-money';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Stocked } from '@/core/store/article';
import type { LotFinding, OpenOrder, StockMove } from '@/core/store/stock-record';
import { tagOf } from '@/core/unit/unit-record';
import { Go } from '../shell/go';
import { useUnits } from '../shell/units-context';
import { Lots } from './lots';
import { StockForms } from './stock-forms';

const REASONS: Readonly<Record<StockMove['reason'], string>> = {
  received: 'received',
  'set-aside': 'set aside',
  counted: 'counted',
  adjusted: 'put right',
  kept: 'kept from a kit',
  imported: 'imported',
};

/** One kit or sundry: its bag, its lots with their dates and faults, what is on order, and every piece that came or went. */
export function ArticlePage({
  article,
  moves,
  orders,
  findings,
  used,
  computedReorder,
  fits,
  now,
  open,
}: {
  readonly article: Stocked;
  readonly moves: readonly StockMove[];
  readonly orders: readonly OpenOrder[];
  readonly findings: readonly LotFinding[];
  /** Pieces that went to units. */
  readonly used: number;
  readonly computedReorder: number;
  readonly fits: readonly Fitment[];
  readonly now: number;
  readonly open: boolean;
}) {
  const units = useUnits();
  return (
    <div className="grid gap-x-6 gap-y-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <div className="grid content-start gap-4">
        <div>
          <h1 className="text-xl font-bold">
            <span className="text-brass">{article.number}</span> {article.name}
          </h1>
          <p className="text-ink2">
            {sayMoney(article.price)} · {article.leadDays === null ? 'not to be had' : `${article.leadDays} days to get`} · {used} used
            {open && (
              <Go
                className="ml-4 inline-flex min-h-[44px] items-center font-bold text-act"
                href={`/kits/${encodeURIComponent(article.number)}/edit`}
              >
                Change it
              </Go>
            )}
          </p>
          {article.supersededBy !== null && (
            <p className="mt-1 border-l-4 border-amber pl-3">
              Superseded by{' '}
              <Go className="font-bold text-brass underline" href={`/kits/${encodeURIComponent(article.supersededBy)}`}>
                {article.supersededBy}
              </Go>
              : what is here may be used up, no more comes.
            </p>
          )}
          {article.note !== '' && <p className="mt-1">{article.note}</p>}
        </div>
        <section aria-label="In the bag">
          <h2 className="head mb-1">IN THE BAG</h2>
          <ul className="border border-line bg-sheet">
            {article.items.map((i, at) => (
              <li key={at} className="flex gap-3 border-b border-hair px-3 py-1 last:border-b-0">
                <b className="w-48">
                  {i.name}
                  {i.qty > 1 && ` × ${i.qty}`}
                </b>
                <span className="text-ink2">{sayDims(i.dims, units) || 'no dimension stated'}</span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="Lots">
          <h2 className="head mb-1">ON THE SHELF · {article.stock}</h2>
          {article.lots.length === 0 && <p className="text-ink2">None was ever received.</p>}
          {article.lots.length > 0 && <Lots lots={article.lots} findings={findings} now={now} open={open} />}
        </section>
        <section aria-label="Came and went">
          <h2 className="head mb-1">CAME AND WENT</h2>
          {moves.length === 0 && <p className="text-ink2">Nothing yet: what is received, counted and set aside stands here.</p>}
          <ul>
            {moves.map((m) => (
              <li key={m.id} className="flex flex-wrap gap-x-3 border-b border-hair py-1">
                <b className="w-12 text-right">{m.qty > 0 ? `+${m.qty}` : m.qty}</b>
                <span>
                  {REASONS[m.reason]}
                  {m.tagNo !== null && ` for ${tagOf({ tagNo: m.tagNo })}`}
                  {m.note !== '' && `: ${m.note}`}
                </span>
                <span className="text-ink2">lot {m.lot}</span>
                <span className="ml-auto text-ink2" title={sayFullDate(m.at)}>
                  {m.by} · {sayWhen(m.at, now)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <aside aria-label="Receive and order" className="grid content-start gap-4">
        {open && <StockForms article={article} orders={orders} computedReorder={computedReorder} now={now} />}
        {fits.length > 0 && (
          <section aria-label="Made for">
            <h2 className="head mb-1">MADE FOR</h2>
            <ul className="text-[13px]">
              {fits.map((f) => (
                <li key={f.id}>{sayFitment(f)}</li>
              ))}
            </ul>
          </section>
        )}
      </aside>
    </div>
  );
}
