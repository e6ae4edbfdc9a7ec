'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { LiveRun } from '@/core/prove/live-run';

/** The run on the rig, undefined while it is idle; and whether what is shown still comes from it. */
export type LiveLine = { readonly run: LiveRun | undefined; readonly line: 'up' | 'lost' };

/** Follows the rig's run over server-sent events. The page is refreshed once a run has ended. */
export function useLiveRun(): LiveLine {
  const router = useRouter();
  const [run, setRun] = useState<LiveRun>();
  const [line, setLine] = useState<LiveLine['line']>('up');
  useEffect(() => {
    let source: EventSource | undefined;
    const follow = (): void => {
      source = new EventSource(`/api/v1/rig/stream?page=${pageName()}`);
      source.onopen = () => setLine('up');
      source.onerror = () => setLine('lost');
      source.onmessage = (e) => {
        const news = JSON.parse(e.data as string) as LiveRun;
        setRun((old) => (old?.runId === news.runId ? { ...news, samples: joined(old.samples, news.samples) } : news));
        if (news.state === 'finished' || news.state === 'aborted' || news.state === 'broken') setTimeout(() => router.refresh(), 300);
      };
    };
    const leave = (): void => source?.close();
    // A browser keeps pages that one comes back to: six that still held their line would leave none for the next page.
    const back = (e: PageTransitionEvent): void => {
      if (e.persisted) follow();
    };
    follow();
    addEventListener('pagehide', leave);
    addEventListener('pageshow', back);
    return () => {
      leave();
      removeEventListener('pagehide', leave);
      removeEventListener('pageshow', back);
    };
  }, [router]);
  return { run, line };
}

/** This page's own name, also when it is loaded again: the run that it starts is held by it. */
export const pageName = (): string => {
  const known = sessionStorage.getItem('page');
  if (known !== null) return known;
  const name = uuidv7();
  sessionStorage.setItem('page', name);
  return name;
};

/** The stream starts over after a lost line: what is sent again takes the place of what was there. */
const joined = (old: LiveRun['samples'], news: LiveRun['samples']): LiveRun['samples'] => {
  const from = news[0]?.t;
  return from === undefined ? old : [...old.filter((s) => s.t < from), ...news];
};
