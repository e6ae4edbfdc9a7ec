'use client';

import { useCallback, useState } from 'react';

/** How many steps back are kept. */
const MOST_STEPS = 200;

type History<T> = { readonly past: readonly T[]; readonly now: T; readonly future: readonly T[] };

/** A value whose changes can be undone and done again, as long as the page stands. */
export function useHistory<T>(start: T) {
  const [{ past, now, future }, set] = useState<History<T>>({ past: [], now: start, future: [] });
  const change = useCallback(
    (next: (now: T) => T): void => set((h) => ({ past: [...h.past, h.now].slice(-MOST_STEPS), now: next(h.now), future: [] })),
    [],
  );
  return {
    now,
    change,
    undo: past.length === 0 ? undefined : (): void => set((h) => moved(h)),
    redo: future.length === 0 ? undefined : (): void => set((h) => swapped(moved(swapped(h)))),
  };
}

const moved = <T>(h: History<T>): History<T> =>
  h.past.length === 0 ? h : { past: h.past.slice(0, -1), now: h.past.at(-1) as T, future: [...h.future, h.now] };
const swapped = <T>({ past, now, future }: History<T>): History<T> => ({ past: future, now, future: past });
