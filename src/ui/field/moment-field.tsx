'use client';

import { CalendarDays } from 'lucide-react';
import { type Ref, useId, useRef, useState } from 'react';
import { parseMoment, sayMomentError } from '@/core/quantity/parse-moment';
import { isMoment, sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { late } from '../shell/late';

const Calendar = late(async () => (await import('./calendar')).Calendar);

/** The end of a working day: what a promised day without a time means. */
const USUAL_HOUR = 16;

/** How such a field words what it holds. */
export type Wording = {
  readonly hint: string;
  readonly say: (at: number, now: number) => string;
  readonly sayFull: (at: number) => string;
};
const MOMENT: Wording = { hint: 'Thu 16:00 or 31.12.', say: sayWhen, sayFull: sayFullDate };

/** A day and an hour as people say them, or picked from a calendar; ms since 1970, on the shop's clock. @param hour what a day alone means */
export function MomentField({
  label,
  value,
  onSay,
  hour = USUAL_HOUR,
  wording = MOMENT,
  odd,
  className = 'w-56',
  inputRef,
  invalid = false,
}: {
  readonly label: string;
  readonly value: number | null;
  /** @param typed the text as it stands, for whoever keeps what is no moment */
  readonly onSay: (at: number | null, typed: string) => void;
  readonly hour?: number;
  readonly wording?: Wording;
  /** What is odd about a moment, though it may stand. */
  readonly odd?: (at: number, now: number) => string | undefined;
  readonly className?: string;
  readonly inputRef?: Ref<HTMLInputElement>;
  readonly invalid?: boolean;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  /** What stood there as somebody came to it: nothing that is filled in later changes it under their fingers. */
  const [met, setMet] = useState<string>();
  const [picking, setPicking] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const shown = typed ?? met ?? (value === null || !isMoment(value) ? '' : wording.say(value, Date.now()));
  const read = typed === undefined || typed.trim() === '' ? undefined : parseMoment(typed, Date.now(), hour);
  const type = (text: string): void => {
    setTyped(text);
    const now = text.trim() === '' ? undefined : parseMoment(text, Date.now(), hour);
    onSay(now?.ok ? now.value : null, text);
  };
  return (
    <div className={className}>
      <label htmlFor={id} className="label">
        {label}
      </label>
      <span className="flex">
        <input
          id={id}
          ref={inputRef}
          className="field"
          placeholder={wording.hint}
          value={shown}
          aria-invalid={read?.ok === false || invalid}
          aria-describedby={`${id}-note`}
          autoComplete="off"
          onFocus={(e) => setMet(e.target.value)}
          // What was filled in is replaced as a whole by what is typed, by finger as by Tab.
          onClick={(e) => typed === undefined && e.currentTarget.select()}
          onChange={(e) => type(e.target.value)}
          onBlur={() => {
            setMet(undefined);
            if (read?.ok !== false) setTyped(undefined);
          }}
        />
        <button
          ref={button}
          type="button"
          className="btn-quiet -ml-px px-2.5"
          aria-label={`Calendar for ${label}`}
          aria-expanded={picking}
          onClick={() => setPicking(!picking)}
        >
          <CalendarDays size={18} aria-hidden />
        </button>
      </span>
      <p id={`${id}-note`} className={`text-[12px] empty:hidden ${read?.ok === false ? 'text-red' : 'text-ink2'}`}>
        {read?.ok === false ? sayMomentError(read.error) : read?.ok ? wording.sayFull(read.value) : ''}
      </p>
      {value !== null && isMoment(value) && <p className="text-[12px] text-amber empty:hidden">{odd?.(value, Date.now())}</p>}
      {picking && (
        <Calendar
          under={button}
          value={value}
          hour={hour}
          onPick={(at) => {
            setTyped(undefined);
            onSay(at, wording.say(at, Date.now()));
            setPicking(false);
          }}
          onClose={() => setPicking(false)}
        />
      )}
    </div>
  );
}
