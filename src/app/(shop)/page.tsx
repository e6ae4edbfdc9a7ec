import type { Metadata } from 'next';
import { branchOf } from '@/core/shop/branch';
import { theDb } from '@/db/engine/connection';
import { among } from '@/db/rack/at-branch';
import { onTheRack } from '@/db/rack/rack';
import { openWaits } from '@/db/unit/waits';
import { Rack } from '@/ui/rack/rack';
import { shopNow } from '../_server/shop-now';
import { personOrSignIn } from '../_server/who';

export const metadata: Metadata = { title: 'Rack' };

/** The units of one's own branch, of another that the address names, or of all. */
export default async function RackPage({ searchParams }: { readonly searchParams: Promise<{ readonly branch?: string }> }) {
  const db = await theDb();
  const [person, { settings }, { branch: asked }] = await Promise.all([personOrSignIn(), shopNow(), searchParams]);
  const { branches } = settings;
  const at = asked === 'all' ? undefined : (branches.find((b) => b.id === asked) ?? branchOf(branches, person.branch ?? null));
  const [{ units: trays, inAll }, waits] = await Promise.all([onTheRack(db, among(at, branches)), openWaits(db)]);
  return <Rack trays={trays} inAll={inAll} waits={waits} at={at} now={Date.now()} />;
}
