import type { Metadata } from 'next';
import { theDb } from '@/db/engine/connection';
import { theShop } from '@/db/shop/settings';
import { BeginList } from '@/ui/shop/begin-list';

export const metadata: Metadata = { title: 'The shop is open' };

/** After a shop was opened: what comes next, in the order in which it is needed. */
export default async function BeginPage() {
  const { settings } = await theShop(await theDb());
  return (
    <>
      <h1 className="mb-1 text-xl font-bold">{settings.name} is open</h1>
      <p className="mb-3 text-ink2">What comes next:</p>
      <BeginList />
    </>
  );
}
