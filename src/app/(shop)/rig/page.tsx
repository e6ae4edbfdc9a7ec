import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { rigQueued } from '@/db/prove/rig-queue';
import { rigAddress } from '@/ports/rig-line';
import { RigPage } from '@/ui/prove/rig-page';
import { unitsOf } from '../../_server/preferences';
import { personOrSignIn } from '../../_server/who';
import { abortRunAction, leaveRigQueueAction } from '../../actions/prove';

export const metadata: Metadata = { title: 'Rig' };

export default async function Page() {
  const { host, port } = rigAddress();
  const [units, person, queue] = await Promise.all([unitsOf(), personOrSignIn(), rigQueued(await theDb())]);
  return (
    <RigPage
      address={`${host}:${port}`}
      units={units}
      queue={queue}
      mayQueue={may(person.role, 'bench')}
      abort={abortRunAction}
      leave={leaveRigQueueAction}
    />
  );
}
