'use client';

import { Tabs } from 'radix-ui';
import { type ReactNode, useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

export type StripView = { readonly id: string; readonly title: string; readonly body: ReactNode };

/** The sides of stripping, one at a time: the guide, the tray, and what to do when it is stuck or to be explained. A link to a part opens the tray. */
export function StripViews({ views, start }: { readonly views: readonly StripView[]; readonly start: string }) {
  const [at, setAt] = useState(start);
  useEffect(() => {
    const asked = new URLSearchParams(location.search).get('view');
    if (asked !== null && asked !== '') setAt(asked);
    const follow = (): void => {
      if (!location.hash.startsWith('#part-')) return;
      flushSync(() => setAt('tray'));
      // The line is there only now: gone to once more, it is marked as what was asked for.
      location.replace(location.hash);
    };
    queueMicrotask(follow);
    addEventListener('hashchange', follow);
    return () => removeEventListener('hashchange', follow);
  }, []);
  // Kept in the address, so that a page that is loaded again shows the same side.
  const show = (id: string): void => {
    setAt(id);
    history.replaceState(null, '', `?view=${id}`);
  };
  return (
    <Tabs.Root value={at} onValueChange={show}>
      <Tabs.List className="mb-3 flex flex-wrap border-b border-line" aria-label="Strip">
        {views.map((v) => (
          <Tabs.Trigger
            key={v.id}
            value={v.id}
            className="min-h-[44px] border-b-4 border-transparent px-4 text-ink2 data-[state=active]:border-act data-[state=active]:font-bold data-[state=active]:text-ink"
          >
            {v.title}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {views.map((v) => (
        <Tabs.Content key={v.id} value={v.id}>
          {v.body}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
