import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { locale } from '@/core/locale';
import { customersUnit } from '@/core/unit/customers-unit';
import { QuotePage } from '@/ui/quote/quote-page';
import { quoteAtKey } from '../../_server/quote-now';

export const metadata: Metadata = { title: 'Quote', robots: { index: false, follow: false }, referrer: 'no-referrer' };

type Params = { readonly params: Promise<{ readonly key: string }> };

/** A quote as its customer sees it. Its address is all that opens it; it ends with the quote. */
export default async function CustomersQuotePage({ params }: Params) {
  const { key } = await params;
  const now = Date.now();
  const found = await quoteAtKey(key, await headers(), now);
  return (
    <main className="mx-auto max-w-3xl px-4 py-6">
      {found.kind === 'shown' ? (
        <QuotePage letterhead={locale().letterhead} of={customersUnit(found.record)} quote={found.quote} state={found.state} now={now} />
      ) : (
        <Nothing kind={found.kind} />
      )}
    </main>
  );
}

const NOTHING = {
  none: ['No quote', 'There is no quote at this address. See whether all of it was copied, or ask the shop.'],
  ended: ['This quote has ended', 'What it offered no longer holds. Ask the shop for a new one.'],
  'too-many': ['One moment', 'Too much was asked from your address at once. Wait a minute, and load this page anew.'],
} as const;

function Nothing({ kind }: { readonly kind: keyof typeof NOTHING }) {
  const [head, text] = NOTHING[kind];
  return (
    <>
      <h1 className="mb-2 text-xl font-bold">{head}</h1>
      <p>{text}</p>
    </>
  );
}
