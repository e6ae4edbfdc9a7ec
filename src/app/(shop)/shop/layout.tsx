import type { ReactNode } from 'react';
import { may } from '@/core/people/role';
import { ShopPlaces } from '@/ui/shop/shop-places';
import { personOrSignIn } from '../../_server/who';

export default async function ShopPagesLayout({ children }: { readonly children: ReactNode }) {
  const person = await personOrSignIn();
  if (!may(person.role, 'see-shop'))
    return <p className="p-4">The shop itself is looked after by its owner; leads see it too. Your work is on the Rack.</p>;
  return (
    <div className="max-w-6xl px-4 py-3">
      <ShopPlaces />
      {children}
    </div>
  );
}
