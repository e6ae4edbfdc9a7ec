import type { Metadata } from 'next';
import { theDb } from '@/db/connection';
import { kitStore } from '@/db/stations/kit';
import { KitTable } from '@/ui/rack/kit-table';
import { unitsOf } from '../../_server/preferences';

export const metadata: Metadata = { title: 'Kit store' };

export default async function KitsPage() {
  return <KitTable kits={await kitStore(await theDb())} units={await unitsOf()} />;
}
