'use client';

import { usePathname } from 'next/navigation';
import { Go } from '../shell/go';

const PLACES = [
  { href: '/shop', text: 'The shop' },
  { href: '/shop/people', text: 'People' },
  { href: '/shop/months', text: 'Months' },
  { href: '/shop/messages', text: 'Messages' },
  { href: '/shop/backup', text: 'Backups' },
  { href: '/shop/tokens', text: 'Tokens' },
  { href: '/shop/history', text: 'Who changed what' },
] as const;

/** The pages about the shop itself. */
export function ShopPlaces() {
  const path = usePathname();
  return (
    <nav aria-label="Shop" className="mb-3 flex flex-wrap gap-x-4 border-b border-line">
      {PLACES.map(({ href, text }) => {
        const here = path === href || (href !== '/shop' && path.startsWith(href));
        return (
          <Go
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            className={`-mb-px flex min-h-11 items-center border-b-2 ${here ? 'border-act font-bold' : 'border-transparent text-ink2'}`}
          >
            {text}
          </Go>
        );
      })}
    </nav>
  );
}
