'use client';

import { usePathname } from 'next/navigation';
import { may, type Role } from '@/core/people/role';
import { Go } from './go';

export const PLACES = [
  { href: '/', text: 'Rack', under: ['/units', '/book-in'] },
  { href: '/day', text: 'Day', under: ['/day/'] },
  { href: '/kits', text: 'Kit store', under: ['/kits/'] },
  { href: '/sums', text: 'Sums', under: ['/sums/'] },
  { href: '/rig', text: 'Rig', under: [] },
  { href: '/practice', text: 'Practice', under: [] },
  { href: '/book', text: 'Book', under: [] },
  { href: '/customers', text: 'Customers', under: ['/customers/', '/outbox'] },
  { href: '/rules', text: 'Rules', under: ['/rules/'] },
] as const;
/** For those who look after the shop. */
const SHOP = { href: '/shop', text: 'Shop', under: ['/shop/'] } as const;

/** The places of the shop, as words; the one we are at is underlined. @param messages to customers, that somebody has to look after */
export function Places({ role, messages }: { readonly role: Role; readonly messages: number }) {
  const path = usePathname();
  return (
    <nav aria-label="Places" className="flex flex-wrap gap-x-4">
      {[...PLACES, ...(may(role, 'see-shop') ? [SHOP] : [])].map(({ href, text, under }) => {
        const here = path === href || under.some((u) => path.startsWith(u));
        return (
          <Go
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            className={`flex min-h-11 items-center border-b-2 pt-0.5 ${here ? 'border-[#ead9ab] font-bold' : 'border-transparent text-on-bar2'}`}
          >
            {text}
            {href === '/customers' && messages > 0 && (
              <b className="ml-1.5 text-[#ffc46b]">
                {messages}
                <span className="sr-only"> messages to look after</span>
              </b>
            )}
          </Go>
        );
      })}
    </nav>
  );
}
