'use client';

import { Dialog } from 'radix-ui';

const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'Find'],
  ['b', 'Book in'],
  ['u', 'Switch units'],
  ['[  ]', 'Station before, station after'],
  ['j  k', 'Next and previous tray on the rack'],
  ['h', 'More or less of the unit above its work'],
  ['n', 'Next station, once this one is done'],
  ['g', 'Go to the gauge grid'],
  ['t', 'Start a wait on this unit'],
  ['p', 'Add a photo to this unit'],
  ['scan', 'A label’s code, on any page: opens its unit'],
  ['Esc', 'Let the pressure down; close a sheet'],
  ['?', 'This sheet'],
];

export function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog.Root open onOpenChange={onClose}>
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
