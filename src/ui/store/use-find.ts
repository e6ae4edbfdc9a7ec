'use client';

import { useDeferredValue, useState } from 'react';
import { type Sort, sayInAddress } from '@/core/schema/sort';
import { useRead } from '../shell/reads';
import { useAddress } from '../shell/use-address';

export type FindStart = { readonly q: string; readonly sort?: Sort | null; readonly page?: number };

/** A query of the store that is answered while it is typed, sorted and paged; it stands in the address. */
export function useFind<T>(first: T, fixed: Readonly<Record<string, string>>, start: FindStart) {
  const [ask, setAsk] = useState({ q: start.q, sort: start.sort ?? null, page: start.page ?? 0 });
  const said = {
    ...fixed,
    ...(ask.q === '' ? {} : { q: ask.q }),
    ...(ask.sort === null ? {} : { sort: sayInAddress(ask.sort) }),
    ...(ask.page === 0 ? {} : { page: String(ask.page) }),
  };
  const query = new URLSearchParams(said).toString();
  const [begun] = useState(query);
  const asked = useDeferredValue(query);
  useAddress('/kits', query);
  const { data, isError } = useRead<T>(`/api/v1/store/find?${asked}`, asked === begun ? first : undefined);
  return {
    ...ask,
    setQ: (q: string): void => setAsk({ ...ask, q, page: 0 }),
    setSort: (sort: Sort | null): void => setAsk({ ...ask, sort, page: 0 }),
    setPage: (page: number): void => setAsk({ ...ask, page }),
    answer: data ?? first,
    state: isError ? ('failed' as const) : ('idle' as const),
  };
}
