'use client';

import { Popover } from 'radix-ui';
import type { RefObject } from 'react';
import { sayFullDate } from '@/core/quantity/say-time';
import { sayWait } from '@/core/quantity/say-wait';
import { CalendarAddress } from './calendar-address';
import { Go } from './go';
import type { Wait } from './wait';

export type WaitsListProps = {
  readonly waits: readonly Wait[];
  readonly now: number | undefined;
  /** The button that it hangs from. */
  readonly under: RefObject<HTMLButtonElement | null>;
  readonly onClose: () => void;
};

/** All waits, each with its unit and who looks after it, and the way into one's own calendar. */
export function WaitsList({ waits, now, under, onClose }: WaitsListProps) {
  return (
    <Popover.Root open onOpenChange={onClose}>
      <Popover.Anchor virtualRef={under as RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          align="end"
          className="z-20 w-[26rem] max-w-[96vw] border border-line bg-sheet p-3 text-ink"
          aria-label="Waits"
          onCloseAutoFocus={() => under.current?.focus()}
          onInteractOutside={(e) => under.current?.contains(e.target as Node) && e.preventDefault()}
        >
          <h2 className="head mb-1">Waits</h2>
          {waits.length === 0 && (
            <p className="text-ink2">Soaks, cures, orders and answers stand here once one is started on a unit (t).</p>
          )}
          <ul className="max-h-72 overflow-y-auto">
            {now !== undefined &&
              waits.map((w) => (
                <li key={w.id} className="border-b border-hair last:border-b-0">
                  <Go
                    href={`/units/${w.tag}`}
                    className="flex min-h-[44px] items-center justify-between gap-3"
                    title={sayFullDate(w.endsAt)}
                    onClick={onClose}
                  >
                    <span>
                      <b>{w.tag}</b> {w.label} <span className="text-ink2">· {w.owner}</span>
                    </span>
                    <span className={`whitespace-nowrap ${w.endsAt <= now ? 'font-bold text-amber' : ''}`}>{sayWait(w.endsAt, now)}</span>
                  </Go>
                </li>
              ))}
          </ul>
          <CalendarAddress />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
