import { useEffect, useRef } from 'react';

/**
 * Keeps a sheet in the page's address as it is typed, so that the address can be sent on; a sheet that is as it came leaves the address alone.
 * Written past the router, which may fetch the page anew at each key, and loads it anew where a slow server does not answer.
 * @param address the page's own; undefined: the sheet is part of another page
 */
export function useAddress(address: string | undefined, query: string): void {
  const shown = useRef(query);
  const said = useRef<string>(undefined);
  // After every render: a page that was brought up to date has the router's address again.
  useEffect(() => {
    if (address === undefined) return;
    if (shown.current !== query) said.current = query === '' ? address : `${address}?${query}`;
    shown.current = query;
    if (said.current === undefined || said.current === location.pathname + location.search) return;
    history.replaceState(history.state, '', said.current);
  });
}
