import type { Metadata } from 'next';
import { theDb } from '@/db/engine/connection';
import { findUnits } from '@/db/rack/rack';
import { UnitList } from '@/ui/rack/unit-list';

export const metadata: Metadata = { title: 'Find' };

export default async function FindPage({ searchParams }: { readonly searchParams: Promise<{ q?: string }> }) {
  const text = (await searchParams).q?.trim() ?? '';
  const found = text === '' ? [] : await findUnits(await theDb(), text);
  return (
    <div className="px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">{text === '' ? 'Find' : `${found.length} found for “${text}”`}</h1>
      <UnitList units={found} now={Date.now()} empty="Units turn up by tag, machine, customer, or the marks on their casting." />
    </div>
  );
}
