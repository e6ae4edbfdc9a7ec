'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { late } from './late';

const KeysSheet = late(async () => (await import('./keys-sheet')).KeysSheet);

/** Keys go by what they type, not by where they lie: a sign may need Shift or AltGr on one keyboard and not on another. */
export const LETTER = { useKey: true, preventDefault: true } as const;
export const SIGN = { useKey: true, preventDefault: true, ignoreModifiers: true } as const;

const press = (selector: string): void => document.querySelector<HTMLElement>(selector)?.click();

/** Keys of every page, and the sheet that lists them. They never fire while typing. */
export function Keys() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useHotkeys('?', () => setOpen(true), SIGN);
  useHotkeys('b', () => router.push('/book-in'), LETTER);
  useHotkeys('u', () => press('[data-key="u"]'), LETTER);
  useHotkeys('g', () => press('[data-key="g"]'), LETTER);
  useHotkeys('t', () => press('[data-key="t"]'), LETTER);
  useHotkeys('p', () => press('[data-key="p"]'), LETTER);
  useHotkeys('[', () => press('[data-key="["]'), SIGN);
  useHotkeys(']', () => press('[data-key="]"]'), SIGN);
  useHotkeys(
    ['j', 'k'],
    (_, { keys }) => {
      const trays = [...document.querySelectorAll<HTMLElement>('[data-tray]')];
      const at = trays.indexOf(document.activeElement as HTMLElement);
      const to = keys?.includes('j') ? at + 1 : Math.max(0, at - 1);
      trays[Math.min(to, trays.length - 1)]?.focus();
    },
    LETTER,
  );
  return open && <KeysSheet onClose={() => setOpen(false)} />;
}
