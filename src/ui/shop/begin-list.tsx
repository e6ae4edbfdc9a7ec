'use client';

import { useEffect, useRef } from 'react';
import { Go } from '../shell/go';

const NEXT = [
  { href: '/shop/people', text: 'Add the people', why: 'Each gets a code, and chooses a PIN with it at the first sign-in.' },
  {
    href: '/kits/files',
    text: 'Take in your files',
    why: 'Kits, sundries, fitments, stock and customers from CSV or Excel: each is shown before anything is kept.',
  },
  { href: '/rules', text: 'Look through the rules', why: 'They stand as delivered. A maker’s manual prevails over all of them.' },
  { href: '/rules/gauges', text: 'Enter your gauges', why: 'With their errors: a bore is judged no finer than it was measured.' },
  { href: '/book-in', text: 'Book in the first unit', why: 'It gets its tag, and goes on from there.' },
] as const;

/** What a shop that was just opened needs next; the first of it has the focus. */
export function BeginList() {
  const first = useRef<HTMLAnchorElement>(null);
  useEffect(() => first.current?.focus(), []);
  return (
    <ol className="max-w-3xl border border-line bg-sheet">
      {NEXT.map(({ href, text, why }, i) => (
        <li key={href} className="flex flex-wrap items-center gap-x-3 border-b border-hair px-3 py-1.5 last:border-b-0">
          <span className="w-5 text-ink2">{i + 1}</span>
          <Go href={href} className="inline-flex min-h-11 w-56 items-center font-bold text-act" ref={i === 0 ? first : undefined}>
            {text}
          </Go>
          <span className="flex-1 text-ink2">{why}</span>
        </li>
      ))}
    </ol>
  );
}
