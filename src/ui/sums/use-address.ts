import { useEffect, useRef } from 'react';

/** Keeps a sheet in the page's address as it is typed, so that the address can be sent on. @param address the page's own; undefined: the sheet is part of another page */
export function useAddress(address: string | undefined, query: string): void {
  const shown = useRef(query);
  useEffect(() => {
    if (address === undefined || shown.current === query) return;
    shown.current = query;
    window.history.replaceState(null, '', query === '' ? address : `${address}?${query}`);
  }, [query, address]);
}
