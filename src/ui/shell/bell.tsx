'use client';

import { useEffect, useRef, useState } from 'react';
import { ringWaitAction } from '@/app/actions/unit';
import { Go } from './go';
import { chime } from './sound';
import type { Wait } from './wait';

/** Rings once for a wait that is over: the first bench that hears it tells the server, and the others stay still. */
export function Bell({ waits, now }: { readonly waits: readonly Wait[]; readonly now: number | undefined }) {
  const asked = useRef(new Set<string>());
  const [ringing, setRinging] = useState<readonly Wait[]>([]);
  useEffect(() => {
    if (now === undefined) return;
    for (const wait of waits.filter((w) => !w.rung && w.endsAt <= now && !asked.current.has(w.id))) {
      asked.current.add(wait.id);
      ringWaitAction({ timerId: wait.id })
        .then((answer) => {
          if (answer.ok && answer.value?.rings === true) {
            setRinging((all) => [...all, wait]);
            chime([660, 880]);
          }
        })
        // The line is down: ask again at the next second.
        .catch(() => asked.current.delete(wait.id));
    }
  }, [waits, now]);
  return (
    <div role="alert" className="fixed right-4 bottom-4 z-30 grid gap-2">
      {ringing.map((w) => (
        <div key={w.id} className="flex items-center gap-4 border-2 border-amber bg-sheet px-4 py-2 text-ink">
          <span>
            <b>{w.tag}</b> {w.label}: it is time. <span className="text-ink2">{w.owner}</span>
          </span>
          <Go
            href={`/units/${w.tag}`}
            className="inline-flex min-h-[44px] items-center font-bold text-act"
            onClick={() => setRinging((all) => all.filter((x) => x.id !== w.id))}
          >
            Go to it
          </Go>
          <button
            type="button"
            className="min-h-[44px] font-bold text-act"
            onClick={() => setRinging((all) => all.filter((x) => x.id !== w.id))}
          >
            Seen
          </button>
        </div>
      ))}
    </div>
  );
}
