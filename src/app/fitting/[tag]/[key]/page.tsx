import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { locale } from '@/core/locale';
import { FittingPage } from '@/ui/fitting-sheet/fitting-page';
import { fittingAtKey } from '../../../_server/fitting-now';

export const metadata: Metadata = { title: 'Fitting sheet', robots: { index: false, follow: false }, referrer: 'no-referrer' };

/** What goes with a unit to the machine. Its address is all that opens it; it tells nothing of whose it is. */
export default async function FittingSheetPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ readonly tag: string; readonly key: string }>;
  readonly searchParams: Promise<{ readonly units?: string }>;
}) {
  const [at, { units }] = await Promise.all([params, searchParams]);
  const found = await fittingAtKey(at, units, await headers());
  return (
    <main className="mx-auto max-w-3xl px-4 py-6">
      {found.kind === 'shown' ? (
        <FittingPage letterhead={locale().letterhead} sheet={found.sheet} address={`/fitting/${at.tag}/${at.key}`} units={found.units} />
      ) : (
        <>
          <h1 className="mb-2 text-xl font-bold">{found.kind === 'none' ? 'No fitting sheet' : 'One moment'}</h1>
          <p>
            {found.kind === 'none'
              ? 'There is no fitting sheet at this address. See whether all of it was copied, or ask the shop.'
              : 'Too much was asked from your address at once. Wait a minute, and load this page anew.'}
          </p>
        </>
      )}
    </main>
  );
}
