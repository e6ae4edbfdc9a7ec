import type { ReactNode } from 'react';
import type { Query } from '@/core/schema/sheet';

export type SumSearch = { readonly searchParams: Promise<Query> };

/** A sum on a page of its own, started with what its address carries. */
export async function SumPage({
  title,
  searchParams,
  children,
}: SumSearch & { readonly title: string; readonly children: (query: Query) => ReactNode | Promise<ReactNode> }) {
  return (
    <div className="max-w-5xl px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">{title}</h1>
      {await children(await searchParams)}
    </div>
  );
}
