'use client';

import { useRef, useState } from 'react';
import { sayWait } from '@/core/quantity/say-wait';
import { Bell } from './bell';
import { late } from './late';
import { useNow } from './use-now';
import type { Wait } from './wait';
import type { WaitsListProps } from './waits-list';

const WaitsList = late<WaitsListProps>(async () => (await import('./waits-list')).WaitsList);

/** The next wait to end, with its unit; all of them on a press. Rings once when one is over. */
export function Waits({ waits }: { readonly waits: readonly Wait[] }) {
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const now = useNow(waits.length > 0);
  // What is over is on the list, and the bar says how many; what comes next is what one plans by.
  const over = now === undefined ? [] : waits.filter((w) => w.endsAt <= now);
  const next = waits.find((w) => now !== undefined && w.endsAt > now) ?? waits[0];
  return (
    <>
      <Bell waits={waits} now={now} />
      <button
        ref={button}
        type="button"
        className="flex min-h-11 items-center gap-2 text-[#f3c16f]"
        title="All waits"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {next === undefined || now === undefined ? (
          <span className="text-on-bar2">Waits</span>
        ) : (
          <>
            <span>
              {next.tag}{' '}
              <span className="inline-block max-w-24 truncate align-bottom max-[1399px]:hidden" title={next.label}>
                {next.label}
              </span>{' '}
              {sayWait(next.endsAt, now)}
            </span>
            {over.length > 0 && next.endsAt > now && <b className="max-md:hidden">· {over.length} over</b>}
          </>
        )}
      </button>
      {open && <WaitsList waits={waits} now={now} under={button} onClose={() => setOpen(false)} />}
    </>
  );
}
