'use client';

import { Menu, TriangleAlert, X } from 'lucide-react';
import { usePathname } from 'next/navigation';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Person } from '@/core/people/role';
import type { Units } from '@/core/quantity/units';
import { FindField } from './find-field';
import { Go } from './go';
import { Keys } from './keys';
import { Places } from './places';
import { Preferences } from './preferences';
import type { Wait } from './wait';
import { Waits } from './waits';

/** The slim bar on top of every page: the shop's mark, places, find, the next wait to end, who is at this bench. */
export function TopBar({
  person,
  units,
  waits,
  warning,
  messages,
  signOut,
}: {
  readonly person: Person;
  readonly units: Units;
  readonly waits: readonly Wait[];
  /** What owner and leads are told of the backups. */
  readonly warning: string | undefined;
  /** To customers, that somebody has to look after. */
  readonly messages: number;
  readonly signOut: () => Promise<void>;
}) {
  // Open on the page that it was opened on: going elsewhere closes it.
  const path = usePathname();
  const [menu, setMenu] = useState<string>();
  const self = (
    <>
      <Preferences units={units} />
      <Go href="/you" title="Where you are signed in" className="inline-flex min-h-11 items-center underline-offset-4 hover:underline">
        {person.bench !== null && <span className="mr-1.5 max-[1399px]:hidden">{person.bench} ·</span>}
        {person.name}
      </Go>
      <form action={signOut}>
        <button type="submit" className="min-h-11 text-on-bar2 underline-offset-4 hover:underline">
          Sign out
        </button>
      </form>
    </>
  );
  return (
    <header className="top-bar flex print:hidden min-h-11 items-center gap-x-3 bg-bar px-4 text-on-bar md:flex-wrap md:gap-x-4 md:gap-y-1">
      <a href="#work" className="sr-only focus:not-sr-only">
        Skip the bar
      </a>
      <Go href="/" className="inline-flex min-h-11 items-center font-bold tracking-[0.14em]">
        EDDRIN
      </Go>
      <div className="contents max-md:hidden">
        <Places role={person.role} messages={messages} />
      </div>
      <FindField />
      <div className="ml-auto flex flex-wrap items-center gap-x-4">
        {warning !== undefined && (
          <Go href="/shop/backup" className="inline-flex min-h-11 items-center gap-1.5 font-bold text-[#ffb4a2]">
            <TriangleAlert size={18} aria-hidden />
            {warning}
          </Go>
        )}
        <Waits waits={waits} />
        <div className="contents max-md:hidden">{self}</div>
        <Dialog.Root open={menu === path} onOpenChange={(open) => setMenu(open ? path : undefined)}>
          <Dialog.Trigger className="flex size-11 items-center justify-center md:hidden" aria-label="Places and settings">
            <Menu size={22} aria-hidden />
          </Dialog.Trigger>
          <Dialog.Portal>
            <Dialog.Overlay className="fixed inset-0 z-20 bg-[#12181b99]" />
            <Dialog.Content
              aria-describedby={undefined}
              className="top-bar fixed inset-x-0 top-0 z-20 grid gap-2 bg-bar px-4 py-3 text-on-bar md:hidden"
            >
              <div className="flex items-center justify-between">
                <Dialog.Title className="font-bold tracking-[0.14em]">EDDRIN</Dialog.Title>
                <Dialog.Close className="flex size-11 items-center justify-center" aria-label="Close">
                  <X size={22} aria-hidden />
                </Dialog.Close>
              </div>
              <Places role={person.role} messages={messages} />
              <div className="flex flex-wrap items-center gap-x-4">{self}</div>
            </Dialog.Content>
          </Dialog.Portal>
        </Dialog.Root>
      </div>
      <Keys />
    </header>
  );
}
