import type { ReactNode } from 'react';
import { may } from '@/core/people/role';
import { backupWarning } from '@/core/shop/backup';
import { branchOf } from '@/core/shop/branch';
import { tagOf } from '@/core/unit/unit-record';
import { lastGoodBackup } from '@/db/backup/run-backup';
import { openMessages } from '@/db/customer/outbox';
import { shopDb } from '@/db/engine/connection';
import { openWaits } from '@/db/unit/waits';
import { Follow } from '@/ui/shell/follow';
import { NewBuild } from '@/ui/shell/new-build';
import { Scanner } from '@/ui/shell/scanner';
import { ShopProvider } from '@/ui/shell/shop-context';
import { TopBar } from '@/ui/shell/top-bar';
import { UnitsProvider } from '@/ui/shell/units-context';
import { buildId } from '../_server/build-id';
import { mailGoes } from '../_server/mail-goes';
import { unitsOf } from '../_server/preferences';
import { shopNow } from '../_server/shop-now';
import { personOrSignIn } from '../_server/who';
import { signOutAction } from '../actions/people';

/** Every page is of a person and of this moment: none is made while building, when there is no shop to read. */
export const dynamic = 'force-dynamic';

export default async function ShopLayout({ children }: { readonly children: ReactNode }) {
  const db = await shopDb();
  const [person, units, waits, { settings }, backup, messages] = await Promise.all([
    personOrSignIn(),
    unitsOf(),
    openWaits(db),
    shopNow(),
    lastGoodBackup(db),
    openMessages(db, mailGoes()),
  ]);
  // Those of one's own branch, and those that one goes and looks after oneself.
  const at = (branch: string | null) => branchOf(settings.branches, branch)?.id;
  const heard = waits.filter((w) => at(w.branch) === at(person.branch ?? null) || w.ownerId === person.id);
  const warning = may(person.role, 'see-shop') ? backupWarning(backup, settings.backup.warnDays, Date.now()) : undefined;
  return (
    <>
      <TopBar
        person={person}
        units={units}
        warning={warning}
        messages={may(person.role, 'offer') ? messages : 0}
        waits={heard.map(({ id, label, endsAt, rung, owner, tagNo }) => ({ id, tag: tagOf({ tagNo }), label, endsAt, rung, owner }))}
        signOut={signOutAction}
      />
      <NewBuild build={buildId()} />
      <Follow />
      <Scanner />
      <main id="work" tabIndex={-1}>
        <UnitsProvider units={units}>
          <ShopProvider shop={{ hours: { hours: settings.hours, closed: settings.closed }, branches: settings.branches }}>
            {children}
          </ShopProvider>
        </UnitsProvider>
      </main>
    </>
  );
}
