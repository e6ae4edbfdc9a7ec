import type { Metadata } from 'next';
import { rigAddress } from '@/ports/rig-line';
import { RigPage } from '@/ui/stations/rig-page';
import { unitsOf } from '../../_server/preferences';
import { abortRunAction } from '../../actions/prove';

export const metadata: Metadata = { title: 'Rig' };

export default async function Page() {
  const { host, port } = rigAddress();
  return <RigPage address={`${host}:${port}`} units={await unitsOf()} abort={abortRunAction} />;
}
