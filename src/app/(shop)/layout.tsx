import type { ReactNode } from 'react';
import { tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/engine/connection';
import { openWaits } from '@/db/unit/waits';
import { NewBuild } from '@/ui/shell/new-build';
import { TopBar } from '@/ui/shell/top-bar';
import { buildId } from '../_server/build-id';
import { unitsOf } from '../_server/preferences';
import { personOrSignIn } from '../_server/who';
import { calendarKeyAction, signOutAction } from '../actions/people';
import { ringWaitAction } from '../actions/unit';

/** Every page is of a person and of this moment: none is made while building, when there is no shop to read. */
export const dynamic = 'force-dynamic';

export default async function ShopLayout({ children }: { readonly children: ReactNode }) {
  const person = await personOrSignIn();
  const waits = await openWaits(await theDb());
  return (
    <>
      <TopBar
        person={person}
        units={await unitsOf()}
        waits={waits.map(({ id, label, endsAt, rung, owner, tagNo }) => ({ id, tag: tagOf({ tagNo }), label, endsAt, rung, owner }))}
        ring={ringWaitAction}
        calendarKey={calendarKeyAction}
        signOut={signOutAction}
      />
      <NewBuild build={buildId()} />
      <main id="work" tabIndex={-1}>
        {children}
      </main>
    </>
  );
}
