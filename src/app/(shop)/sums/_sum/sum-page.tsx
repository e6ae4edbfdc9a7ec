import type { ReactNode } from 'react';
import type { Query } from '@/core/schema/sheet';

export type SumSearch = { readonly searchParams: Promise<Query> };

/** A sum on a page of its own, started with what its address carries. */
export async function SumPage({
  title,
  searchParams,
  width = 'max-w-5xl',
  children,
}: SumSearch & {
  readonly title: string;
  /** A drawing with its answer beside it takes all of a bench's screen. */
  readonly width?: 'max-w-5xl' | 'max-w-[1480px]';
  readonly children: (query: Query) => ReactNode | Promise<ReactNode>;
}) {
  return (
    <div className={`${width} px-4 py-4`}>
      <h1 className="mb-3 text-xl font-bold">{title}</h1>
      {await children(await searchParams)}
    </div>
  );
}
