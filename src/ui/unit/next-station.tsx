'use client';

import { useEffect, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Go } from '../shell/go';
import { LETTER } from '../shell/keys';

const ID = 'next-station';

/** Where the work goes on once what is to be done here is done, by its link or by `n`: the focus goes there. */
export function NextStation({ next }: { readonly next: { readonly href: string; readonly name: string } | undefined }) {
  const before = useRef(next?.href);
  const href = next?.href;
  useEffect(() => {
    if (before.current === undefined && href !== undefined) document.getElementById(ID)?.focus();
    before.current = href;
  }, [href]);
  useHotkeys('n', () => document.getElementById(ID)?.click(), LETTER);
  return (
    <p aria-live="polite" className="flex items-center gap-3 border-b border-line bg-tint2 px-4 empty:hidden">
      {next !== undefined && (
        <>
          <span>Done here.</span>
          <Go id={ID} className="inline-flex min-h-[44px] items-center font-bold text-act" href={next.href}>
            Next: {next.name}
          </Go>
          <kbd className="border border-line px-1.5 text-[12px] text-ink2">n</kbd>
        </>
      )}
    </p>
  );
}
