'use client';

import { useCallback, useEffect, useState } from 'react';

/** Something half typed that outlives the page: kept on this device until it is saved or dropped. */
export function useDraft<T>(name: string, empty: T): readonly [T, (value: T) => void, () => void] {
  const key = `eddrin-draft-${name}`;
  const [value, setValue] = useState(empty);
  useEffect(() => {
    const kept = localStorage.getItem(key);
    if (kept !== null) setValue(JSON.parse(kept) as T);
  }, [key]);
  const keep = useCallback(
    (next: T) => {
      setValue(next);
      localStorage.setItem(key, JSON.stringify(next));
    },
    [key],
  );
  const drop = useCallback(() => localStorage.removeItem(key), [key]);
  return [value, keep, drop];
}
