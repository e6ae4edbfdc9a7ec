import type { Metadata } from 'next';
import { SHOW_NAMES } from '@/core/store/store-line';
import { theDb } from '@/db/engine/connection';
import { findArticles, findFitments } from '@/db/store/find-store';
import { FitmentTable } from '@/ui/identify/fitment-table';
import { StorePlaces } from '@/ui/store/store-places';
import { StoreTable } from '@/ui/store/store-table';
import { unitsOf } from '../../_server/preferences';

export const metadata: Metadata = { title: 'Kit store' };

type Search = { readonly searchParams: Promise<{ readonly q?: string; readonly show?: string; readonly of?: string }> };

export default async function KitsPage({ searchParams }: Search) {
  const { q = '', show: asked, of } = await searchParams;
  const [db, units, now] = [await theDb(), await unitsOf(), Date.now()];
  const show = SHOW_NAMES.find((s) => s === asked) ?? 'all';
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Kit store</h1>
      <StorePlaces here={of === 'fitments' ? 'fitments' : 'store'} />
      {of === 'fitments' ? (
        <FitmentTable key="fitments" q={q} first={await findFitments(db, q, units.length)} units={units} />
      ) : (
        <StoreTable key={show} ask={{ q, show }} first={await findArticles(db, { q, show }, units.length, now)} units={units} now={now} />
      )}
    </div>
  );
}
