import type { Metadata } from 'next';
import { theDb } from '@/db/engine/connection';
import { onTheRack } from '@/db/rack/rack';
import { openWaits } from '@/db/unit/waits';
import { Rack } from '@/ui/rack/rack';
import { unitsOf } from '../_server/preferences';

export const metadata: Metadata = { title: 'Rack' };

export default async function RackPage() {
  const db = await theDb();
  const [{ units: trays, inAll }, waits, units] = await Promise.all([onTheRack(db), openWaits(db), unitsOf()]);
  return <Rack trays={trays} inAll={inAll} waits={waits} units={units} now={Date.now()} />;
}
