import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { shopKeysOf } from '@/db/release/shop-key';
import { ShopKeys } from '@/ui/release/shop-keys';
import { currentPerson } from '../_server/who';
import { endKeyAction } from '../actions/release';

export const metadata: Metadata = { title: 'Keys of certificates' };

/** The keys that this shop signs its certificates with. Open to everybody; who may change rules may end one. */
export default async function KeysPage() {
  const person = await currentPerson();
  const keys = await shopKeysOf(await theDb());
  return <ShopKeys keys={keys} end={person !== undefined && may(person.role, 'rules') ? endKeyAction : null} />;
}
