'use client';

import { isSameDay, set } from 'date-fns';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { RefObject } from 'react';
import { DayPicker } from 'react-day-picker';
import { locale, onClock } from '@/core/locale';

/** A month to pick a day from; its hour stays that of the day before, or the usual one. */
export function Calendar({
  under,
  value,
  hour,
  onPick,
  onClose,
}: {
  /** The button that it hangs from. */
  readonly under: RefObject<HTMLButtonElement | null>;
  readonly value: number | null;
  readonly hour: number;
  readonly onPick: (at: number) => void;
  readonly onClose: () => void;
}) {
  const chosen = value === null ? undefined : onClock(value);
  const at = (day: Date): number =>
    set(day, {
      hours: chosen?.getHours() ?? Math.floor(hour),
      minutes: chosen?.getMinutes() ?? Math.round((hour % 1) * 60),
      seconds: 0,
      milliseconds: 0,
    }).getTime();
  return (
    <Popover.Root open onOpenChange={onClose}>
      <Popover.Anchor virtualRef={under as RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          align="end"
          className="z-20 border border-line bg-sheet p-3 text-ink"
          aria-label="Calendar"
          onCloseAutoFocus={() => under.current?.focus()}
          onInteractOutside={(e) => under.current?.contains(e.target as Node) && e.preventDefault()}
        >
          <DayPicker
            mode="single"
            autoFocus
            weekStartsOn={1}
            timeZone={locale().timeZone ?? undefined}
            defaultMonth={chosen ?? onClock(Date.now())}
            selected={chosen}
            onDayClick={(day) => onPick(at(day))}
            components={{ Chevron: ({ orientation }) => (orientation === 'left' ? <ChevronLeft size={18} /> : <ChevronRight size={18} />) }}
            modifiers={{ today: (day) => isSameDay(day, onClock(Date.now())) }}
            classNames={{
              months: 'relative',
              month_caption: 'flex h-11 items-center font-bold',
              nav: 'absolute top-0 right-0 flex',
              button_previous: 'flex size-11 items-center justify-center text-act',
              button_next: 'flex size-11 items-center justify-center text-act',
              weekday: 'size-10 text-[12px] font-normal text-ink2',
              day_button: 'size-10 border border-transparent hover:border-act',
              today: 'font-bold text-act',
              selected: 'bg-tint2 font-bold text-act',
              outside: 'text-ink2',
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
