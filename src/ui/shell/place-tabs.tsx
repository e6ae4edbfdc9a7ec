'use client';

import { usePathname } from 'next/navigation';
import { Go } from './go';

/** The pages of one place, the first of which is the place itself. */
export function PlaceTabs({
  label,
  places,
}: {
  readonly label: string;
  readonly places: readonly { readonly href: string; readonly text: string }[];
}) {
  const path = usePathname();
  const [first] = places;
  return (
    <nav aria-label={label} className="mb-3 flex flex-wrap gap-x-4 border-b border-line">
      {places.map(({ href, text }) => {
        const here = path === href || (href !== first?.href && path.startsWith(href));
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
