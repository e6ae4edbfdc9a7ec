'use client';

import Link from 'next/link';
import { Popover } from 'radix-ui';
import { sayFullDate } from '@/core/quantity/say-time';
import { sayWait } from '@/core/quantity/say-wait';
import { Bell } from './bell';
import { CalendarAddress } from './calendar-address';
import { useNow } from './use-now';

export type Wait = {
  readonly id: string;
  readonly tag: string;
  readonly label: string;
  readonly endsAt: number;
  readonly rung: boolean;
  readonly owner: string;
};

/** The next wait to end, with its unit; all of them on a press. Rings once when one is over. */
export function Waits({
  waits,
  ring,
  calendarKey,
}: {
  readonly waits: readonly Wait[];
  readonly ring: (input: unknown) => Promise<{ readonly ok: boolean; readonly value?: { readonly rings: boolean } }>;
  readonly calendarKey: (input: unknown) => Promise<{ readonly ok: boolean; readonly value?: { readonly key: string } }>;
}) {
  const now = useNow(waits.length > 0);
  // What is over is on the list, and the bar says how many; what comes next is what one plans by.
  const over = now === undefined ? [] : waits.filter((w) => w.endsAt <= now);
  const next = waits.find((w) => now !== undefined && w.endsAt > now) ?? waits[0];
  return (
    <>
      <Bell waits={waits} now={now} ring={ring} />
      <Popover.Root>
        <Popover.Trigger className="flex min-h-11 items-center gap-2 text-[#f3c16f]" title="All waits">
          {next === undefined || now === undefined ? (
            <span className="text-on-bar2">Waits</span>
          ) : (
            <>
              <span>
                {next.tag} {next.label} {sayWait(next.endsAt, now)}
              </span>
              {over.length > 0 && next.endsAt > now && <b>· {over.length} over</b>}
            </>
          )}
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content align="end" className="z-20 w-[26rem] max-w-[96vw] border border-line bg-sheet p-3 text-ink" aria-label="Waits">
            <h2 className="head mb-1">Waits</h2>
            {waits.length === 0 && (
              <p className="text-ink2">Soaks, cures, orders and answers stand here once one is started on a unit (t).</p>
            )}
            <ul className="max-h-72 overflow-y-auto">
              {now !== undefined &&
                waits.map((w) => (
                  <li key={w.id} className="border-b border-hair last:border-b-0">
                    <Link
                      href={`/units/${w.tag}`}
                      className="flex min-h-[44px] items-center justify-between gap-3"
                      title={sayFullDate(w.endsAt)}
                    >
                      <span>
                        <b>{w.tag}</b> {w.label} <span className="text-ink2">· {w.owner}</span>
                      </span>
                      <span className={`whitespace-nowrap ${w.endsAt <= now ? 'font-bold text-amber' : ''}`}>{sayWait(w.endsAt, now)}</span>
                    </Link>
                  </li>
                ))}
            </ul>
            <CalendarAddress calendarKey={calendarKey} />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </>
  );
}
