import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { METRIC } from '@/core/quantity/units';
import { STANDARD_SHOP } from '@/core/shop/settings';
import { theDb } from '@/db/engine/connection';
import { isOpened } from '@/db/shop/open-shop';
import { UnitsProvider } from '@/ui/shell/units-context';
import { OpenForm } from '@/ui/shop/open-form';

export const metadata: Metadata = { title: 'Open the shop' };
/** Of this moment: once the shop is open the page is gone. */
export const dynamic = 'force-dynamic';

export default async function OpenPage() {
  if (await isOpened(await theDb())) redirect('/sign-in');
  return (
    <main className="mx-auto max-w-5xl px-4 py-8">
      <h1 className="mb-1 text-2xl font-bold">Open your shop</h1>
      <p className="mb-5 max-w-2xl text-ink2">
        Nothing is in here yet. Say what the shop is called and how it works; then you are its owner, and add the people who work in it.
      </p>
      <UnitsProvider units={METRIC}>
        <OpenForm start={STANDARD_SHOP} times={Intl.supportedValuesOf('timeZone')} />
      </UnitsProvider>
    </main>
  );
}
