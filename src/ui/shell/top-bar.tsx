'use client';

import type { ComponentProps } from 'react';
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
  ring,
  calendarKey,
  signOut,
}: {
  readonly person: Person;
  readonly units: Units;
  readonly waits: readonly Wait[];
  readonly ring: ComponentProps<typeof Waits>['ring'];
  readonly calendarKey: ComponentProps<typeof Waits>['calendarKey'];
  readonly signOut: () => Promise<void>;
}) {
  return (
    <header className="top-bar flex print:hidden min-h-11 flex-wrap items-center gap-x-5 gap-y-1 bg-bar px-4 text-on-bar">
      <a href="#work" className="sr-only focus:not-sr-only">
        Skip the bar
      </a>
      <Go href="/" className="font-bold tracking-[0.14em]">
        EDDRIN
      </Go>
      <Places />
      <FindField />
      <div className="ml-auto flex flex-wrap items-center gap-x-4">
        <Waits waits={waits} ring={ring} calendarKey={calendarKey} />
        <Preferences units={units} />
        <span>
          {person.bench === null ? '' : `${person.bench} · `}
          {person.name}
        </span>
        <form action={signOut}>
          <button type="submit" className="min-h-11 text-on-bar2 underline-offset-4 hover:underline">
            Sign out
          </button>
        </form>
      </div>
      <Keys />
    </header>
  );
}
