'use client';

import { useEffect, useRef } from 'react';
import type { EventKind } from '@/core/unit/event-kind';

/** What somebody did to a unit. */
export type Changed = { readonly tag: string; readonly kind: EventKind; readonly by: string; readonly mine: boolean };

/**
 * Hears what is done to units while the page is in sight. A browser keeps six lines to one server: pages that lie under others hold none,
 * and catch up when they are looked at again.
 * @param catchUp called when something may have been missed
 */
export function useChanges(hear: (change: Changed) => void, catchUp: () => void): void {
  const latest = useRef({ hear, catchUp });
  useEffect(() => {
    latest.current = { hear, catchUp };
  });
  useEffect(() => {
    let line: EventSource | undefined;
    let heldBefore = false;
    const turn = (): void => {
      if (document.hidden) {
        line?.close();
        line = undefined;
        return;
      }
      if (line !== undefined) return;
      line = new EventSource('/api/v1/changes/stream');
      // Not the first time: the page lay under another, or the line was lost.
      line.addEventListener('open', () => {
        if (heldBefore) latest.current.catchUp();
        heldBefore = true;
      });
      line.addEventListener('message', (e: MessageEvent<string>) => latest.current.hear(JSON.parse(e.data) as Changed));
    };
    const leave = (): void => {
      line?.close();
      line = undefined;
    };
    turn();
    document.addEventListener('visibilitychange', turn);
    addEventListener('pagehide', leave);
    addEventListener('pageshow', turn);
    return () => {
      leave();
      document.removeEventListener('visibilitychange', turn);
      removeEventListener('pagehide', leave);
      removeEventListener('pageshow', turn);
    };
  }, []);
}
