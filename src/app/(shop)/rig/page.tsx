import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { newestRigRuns } from '@/db/prove/rig-past';
import { rigQueued } from '@/db/prove/rig-queue';
import { among } from '@/db/rack/at-branch';
import { rigAddress } from '@/ports/rig-line';
import { RigPage } from '@/ui/prove/rig-page';
import { rigBranch } from '../../_server/rig-branch';
import { shopNow } from '../../_server/shop-now';
import { personOrSignIn } from '../../_server/who';

export const metadata: Metadata = { title: 'Rig' };

/** Runs that the rig's health is told by. */
const PAST = 20;

export default async function Page() {
  const { host, port } = rigAddress();
  const db = await theDb();
  const { branches } = (await shopNow()).settings;
  const at = await rigBranch();
  const [person, queue, past] = await Promise.all([personOrSignIn(), rigQueued(db, among(at, branches)), newestRigRuns(db, PAST)]);
  return (
    <RigPage
      address={`${host}:${port}${at === undefined ? '' : ` at ${at.name}`}`}
      queue={queue}
      past={past}
      mayQueue={may(person.role, 'bench')}
    />
  );
}
