import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { pricesInForce, priceVersions } from '@/db/cost/prices';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { PriceList } from '@/ui/cost/price-list';
import { StorePlaces } from '@/ui/store/store-places';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Price list' };

/** Versions that are shown. */
const SHOWN = 10;

export default async function PricesPage() {
  const [person, db] = await Promise.all([personOrSignIn(), theDb()]);
  const [list, versions, { rules }] = await Promise.all([pricesInForce(db), priceVersions(db, SHOWN), rulesInForce(db)]);
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Price list</h1>
      <StorePlaces here="prices" />
      <PriceList list={list} versions={versions} rates={rules} now={Date.now()} mayEdit={may(person.role, 'prices')} />
    </div>
  );
}
