import type { Metadata } from 'next';
import { theDb } from '@/db/engine/connection';
import { findArticles, findFitments } from '@/db/store/find-store';
import { FitmentTable } from '@/ui/identify/fitment-table';
import { StorePlaces } from '@/ui/store/store-places';
import { StoreTable } from '@/ui/store/store-table';
import { unitsOf } from '../../_server/preferences';
import { fitmentAsk, storeAsk } from '../../_server/store-ask';

export const metadata: Metadata = { title: 'Kit store' };

type Search = { readonly searchParams: Promise<Readonly<Record<string, string | undefined>>> };

export default async function KitsPage({ searchParams }: Search) {
  const asked = await searchParams;
  const [db, units, now] = [await theDb(), await unitsOf(), Date.now()];
  const [store, fitments] = [storeAsk(asked), fitmentAsk(asked)];
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Kit store</h1>
      <StorePlaces here={asked.of === 'fitments' ? 'fitments' : 'store'} />
      {asked.of === 'fitments' ? (
        <FitmentTable key="fitments" start={fitments} first={await findFitments(db, fitments, units.length)} />
      ) : (
        <StoreTable key={store.show} start={store} first={await findArticles(db, store, units.length, now)} now={now} />
      )}
    </div>
  );
}
