'use client';

import { useEffect, useRef, useState } from 'react';

/** A query that is answered while it is typed, and stands in the address; an answer that was overtaken is dropped. */
export function useFind<T>(first: T, fixed: Readonly<Record<string, string>>, start: string) {
  const [q, setQ] = useState(start);
  const [answer, setAnswer] = useState(first);
  const [state, setState] = useState<'idle' | 'failed'>('idle');
  const asked = useRef(start);
  const query = JSON.stringify(fixed);
  useEffect(() => {
    if (asked.current === q) return;
    asked.current = q;
    const params = new URLSearchParams({ ...(JSON.parse(query) as Record<string, string>), ...(q === '' ? {} : { q }) });
    window.history.replaceState(null, '', params.size === 0 ? '/kits' : `/kits?${params}`);
    const stop = new AbortController();
    fetch(`/api/v1/store/find?${params}`, { signal: stop.signal })
      .then(async (r) => {
        if (r.ok) setAnswer((await r.json()) as T);
        setState(r.ok ? 'idle' : 'failed');
      })
      .catch(() => stop.signal.aborted || setState('failed'));
    return () => stop.abort();
  }, [q, query]);
  return { q, setQ, answer, state };
}
