import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { theShop } from '@/db/shop/settings';
import { ShopForm } from '@/ui/shop/shop-form';
import { personOrSignIn } from '../../_server/who';

export const metadata: Metadata = { title: 'Shop' };

export default async function ShopPage({ searchParams }: { readonly searchParams: Promise<{ readonly saved?: string }> }) {
  const person = await personOrSignIn();
  const { version, settings } = await theShop(await theDb());
  const open = may(person.role, 'shop');
  return (
    <>
      <h1 className="mb-1 text-xl font-bold">{settings.name === '' ? 'The shop' : settings.name}</h1>
      <p className="mb-3 text-ink2" role="status">
        {String((await searchParams).saved) === String(version) ? 'Saved. ' : ''}
        {open ? 'What changes here is in force at once, and stands under Who changed what.' : 'Only an owner changes what stands here.'}
      </p>
      <ShopForm key={version} version={version} settings={settings} times={Intl.supportedValuesOf('timeZone')} open={open} />
    </>
  );
}
