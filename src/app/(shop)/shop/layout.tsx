import type { ReactNode } from 'react';
import { may } from '@/core/people/role';
import { PlaceTabs } from '@/ui/shell/place-tabs';
import { personOrSignIn } from '../../_server/who';

const PLACES = [
  { href: '/shop', text: 'The shop' },
  { href: '/shop/people', text: 'People' },
  { href: '/shop/months', text: 'Months' },
  { href: '/shop/messages', text: 'Messages' },
  { href: '/shop/backup', text: 'Backups' },
  { href: '/shop/tokens', text: 'Tokens' },
  { href: '/shop/history', text: 'Who changed what' },
] as const;

export default async function ShopPagesLayout({ children }: { readonly children: ReactNode }) {
  const person = await personOrSignIn();
  if (!may(person.role, 'see-shop'))
    return <p className="p-4">The shop itself is looked after by its owner; leads see it too. Your work is on the Rack.</p>;
  return (
    <div className="max-w-6xl px-4 py-3">
      <PlaceTabs label="Shop" places={PLACES} />
      {children}
    </div>
  );
}
