'use client';

import { useEffect, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Go } from '../shell/go';
import { LETTER } from '../shell/keys';

/** The step whose turn it is once this one has passed: it has the focus, unless somebody is at something else, and `n` goes there. */
export function NextStep({ href, name }: { readonly href: string; readonly name: string }) {
  const link = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    if (document.activeElement === document.body) link.current?.focus();
  }, []);
  useHotkeys('n', () => link.current?.click(), LETTER);
  return (
    <Go ref={link} className="btn mt-3 inline-flex items-center gap-2" href={href}>
      Next: {name}
    </Go>
  );
}
