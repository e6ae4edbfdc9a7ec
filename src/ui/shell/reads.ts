'use client';

import { keepPreviousData, QueryClient, useQuery } from '@tanstack/react-query';

/** What pages read while one types or looks: an answer that was overtaken is dropped, the one before stands until the next is there. */
const reads = new QueryClient({ defaultOptions: { queries: { staleTime: 0, gcTime: 60_000, retry: false, refetchOnWindowFocus: false } } });

/**
 * What an address of the server answers.
 * @param first what the page itself was given of this address: then nothing is asked, and nothing older is shown
 */
export function useRead<T>(url: string, first?: T): { readonly data: T | undefined; readonly isError: boolean } {
  const { data, isError } = useQuery(
    {
      queryKey: [url],
      queryFn: async ({ signal }): Promise<T> => {
        const answer = await fetch(url, { signal });
        if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
        return (await answer.json()) as T;
      },
      placeholderData: keepPreviousData,
      enabled: first === undefined,
    },
    reads,
  );
  return first === undefined ? { data, isError } : { data: first, isError: false };
}
