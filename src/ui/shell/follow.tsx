'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { EVENT_KINDS, type EventKind } from '@/core/unit/event-kind';
import { isUnsaved } from '../save/unsaved';
import { type Changed, useChanges } from './use-changes';

/** Pages that list units: any change may move them. */
const LISTS: readonly string[] = ['/', '/day', '/waits', '/book'];
/** What the bar on top shows. */
const WAITS: readonly EventKind[] = ['wait-started', 'wait-ended'];
/** Changes that come together are shown together, ms. */
const TOGETHER_MS = 300;

/** Shows what others do as they do it; where something is half typed it only says so, and the person shows it when it suits. */
export function Follow() {
  const router = useRouter();
  const path = usePathname();
  const [waiting, setWaiting] = useState<Changed>();
  const soon = useRef<ReturnType<typeof setTimeout>>(undefined);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another path is another page.
  useEffect(() => setWaiting(undefined), [path]);
  useEffect(() => () => clearTimeout(soon.current), []);
  const refreshSoon = (): void => {
    clearTimeout(soon.current);
    soon.current = setTimeout(() => router.refresh(), TOGETHER_MS);
  };
  useChanges(
    (change) => {
      const here = path.toLowerCase().startsWith(`/units/${change.tag.toLowerCase()}`);
      if (!here && !LISTS.includes(path) && !WAITS.includes(change.kind)) return;
      // One's own page shows one's own changes by itself.
      if (here && change.mine && !document.hidden) return;
      if (isUnsaved()) return here ? setWaiting(change) : undefined;
      refreshSoon();
    },
    () => !isUnsaved() && refreshSoon(),
  );
  if (waiting === undefined) return null;
  return (
    <p role="status" className="flex w-full flex-wrap items-center gap-3 bg-tint2 px-4 py-1">
      <span>
        <b>{waiting.by}</b> has changed this unit meanwhile: {EVENT_KINDS[waiting.kind]}. What you typed stays as it is.
      </span>
      <button
        type="button"
        className="btn-quiet"
        onClick={() => {
          setWaiting(undefined);
          router.refresh();
        }}
      >
        Show it
      </button>
    </p>
  );
}
