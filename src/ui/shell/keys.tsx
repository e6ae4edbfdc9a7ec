'use client';

import { useRouter } from 'next/navigation';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';

const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'Find'],
  ['b', 'Book in'],
  ['u', 'Switch units'],
  ['[  ]', 'Station before, station after'],
  ['j  k', 'Next and previous tray on the rack'],
  ['g', 'Go to the gauge grid'],
  ['t', 'Start a wait on this unit'],
  ['p', 'Add a photo to this unit'],
  ['Esc', 'Let the pressure down; close a sheet'],
  ['?', 'This sheet'],
];

/** Keys go by what they type, not by where they lie: a sign may need Shift or AltGr on one keyboard and not on another. */
export const LETTER = { useKey: true, preventDefault: true } as const;
export const SIGN = { useKey: true, preventDefault: true, ignoreModifiers: true } as const;

const press = (selector: string): void => document.querySelector<HTMLElement>(selector)?.click();
const focusOn = (selector: string): void => document.querySelector<HTMLElement>(selector)?.focus();

/** Keys of every page, and the sheet that lists them. They never fire while typing. */
export function Keys() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useHotkeys('?', () => setOpen(true), SIGN);
  useHotkeys('b', () => router.push('/book-in'), LETTER);
  useHotkeys('g', () => press('[data-key="g"]'), LETTER);
  useHotkeys('t', () => focusOn('[data-key="t"]'), LETTER);
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
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-[#12181b99]" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-16 left-1/2 w-96 max-w-[92vw] -translate-x-1/2 border border-line bg-sheet p-5 text-ink"
        >
          <Dialog.Title className="mb-3 text-lg font-bold">Keys</Dialog.Title>
          <dl className="grid grid-cols-[5rem_1fr] gap-y-2">
            {KEYS.map(([key, does]) => (
              <div key={key} className="contents">
                <dt className="font-bold whitespace-pre">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="btn-quiet mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
