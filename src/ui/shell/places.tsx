'use client';

import { usePathname } from 'next/navigation';
import { Go } from './go';

const PLACES = [
  { href: '/', text: 'Rack', under: ['/units', '/book-in'] },
  { href: '/kits', text: 'Kit store', under: ['/kits/'] },
  { href: '/sums', text: 'Sums', under: ['/sums/'] },
  { href: '/rig', text: 'Rig', under: [] },
  { href: '/book', text: 'Book', under: [] },
  { href: '/rules', text: 'Rules', under: ['/rules/'] },
] as const;

/** The places of the shop, as words; the one we are at is underlined. */
export function Places() {
  const path = usePathname();
  return (
    <nav aria-label="Places" className="flex gap-4">
      {PLACES.map(({ href, text, under }) => {
        const here = path === href || under.some((u) => path.startsWith(u));
        return (
          <Go
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            className={`flex min-h-11 items-center border-b-2 pt-0.5 ${here ? 'border-[#ead9ab] font-bold' : 'border-transparent text-on-bar2'}`}
          >
            {text}
          </Go>
        );
      })}
    </nav>
  );
}
