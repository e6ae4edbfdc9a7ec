import type { ReactNode } from 'react';
import { tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/connection';
import { openWaits } from '@/db/stations/waits';
import { TopBar } from '@/ui/shell/top-bar';
import { unitsOf } from '../_server/preferences';
import { personOrSignIn } from '../_server/who';
import { signOutAction } from '../actions';

export default async function ShopLayout({ children }: { readonly children: ReactNode }) {
  const person = await personOrSignIn();
  const waits = await openWaits(await theDb());
  return (
    <>
      <TopBar
        person={person}
        units={await unitsOf()}
        waits={waits.map((w) => ({ tag: tagOf(w), label: w.label, endsAt: w.endsAt }))}
        signOut={signOutAction}
      />
      <main id="work" tabIndex={-1}>
        {children}
      </main>
    </>
  );
}
