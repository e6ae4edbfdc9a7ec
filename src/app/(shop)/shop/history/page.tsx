import type { Metadata } from 'next';
import { sayFullDate } from '@/core/quantity/say-time';
import { SHOP_EVENTS } from '@/core/shop/shop-event';
import { theDb } from '@/db/engine/connection';
import { shopHistory } from '@/db/shop/shop-events';
import { Go } from '@/ui/shell/go';

export const metadata: Metadata = { title: 'Who changed what' };

export default async function ShopHistoryPage({ searchParams }: { readonly searchParams: Promise<{ readonly before?: string }> }) {
  const before = Number((await searchParams).before);
  const { events, more } = await shopHistory(await theDb(), Number.isSafeInteger(before) && before > 0 ? before : undefined);
  return (
    <>
      <h1 className="mb-3 text-xl font-bold">Who changed what</h1>
      {events.length === 0 && <p className="border border-line bg-sheet p-3">Nothing of the shop itself was changed yet.</p>}
      <ol className="border border-line bg-sheet px-3 empty:hidden">
        {events.map((e) => (
          <li key={e.id} className="border-b border-hair py-1.5 last:border-b-0">
            <p className="flex flex-wrap justify-between gap-x-3">
              <span>
                <b>{e.by ?? 'The program'}</b> {SHOP_EVENTS[e.kind]}
              </span>
              <span className="text-ink2">{sayFullDate(e.at)}</span>
            </p>
            {e.lines.map((line) => (
              <p key={line} className="text-ink2">
                {line}
              </p>
            ))}
          </li>
        ))}
      </ol>
      {more === 'more' && (
        <Go className="btn-quiet mt-3 inline-flex" href={`/shop/history?before=${events.at(-1)?.id}`}>
          Older ones
        </Go>
      )}
    </>
  );
}
