import { onClock, whenOnClock } from '../locale';
import { fail, ok, type Result } from '../result';

/** What could not be read of a day and a time, in words that say what to type. */
export type MomentError = { readonly code: 'empty' | 'not-a-moment' | 'no-such-day' | 'no-such-time'; readonly text: string };

const HOUR_MS = 3_600_000;
const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'] as const;
const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
] as const;
const SPANS_H: Readonly<Record<string, number>> = { min: 1 / 60, h: 1, hour: 1, d: 24, day: 24, w: 168, week: 168 };
/** A year that is not said is the one in which the day comes next; what lies less than this behind is meant as it was, ms. */
const JUST_NOW_MS = 45 * 24 * HOUR_MS;

/**
 * A moment as people say it: `today 15:40`, `Thu 9`, `tomorrow`, `31.12. 16:00`, `3 Dec`, `2026-12-31`, `+3 d`, `in 2 weeks`. The day comes before the month.
 * A weekday is the next one; a time alone is the next time the clock shows it. On the shop's clock.
 * @param now ms since 1970
 * @param hour what a day without a time means; minutes as its fraction
 * @returns ms since 1970
 */
export const parseMoment = (text: string, now: number, hour: number): Result<number, MomentError> => {
  const plain = text.trim().toLowerCase().replace(/\s+/g, ' ');
  if (plain === '') return fail({ code: 'empty', text });
  const span = /^(?:\+|in )\s?(\d{1,4}) ?(min|h|hours?|d|days?|w|weeks?)$/.exec(plain);
  if (span !== null) return ok(later(now, Number(span[1]), span[2] as string, hour));
  const [, dayText = '', clockText = ''] =
    /^(.*?)(?:(?:^|,? )(?:at )?(\d{1,2}(?::\d{2})? ?(?:am|pm|h)?|\d{1,2}:\d{2}))?$/.exec(plain) ?? [];
  const day = dayText === '' ? undefined : dayOf(dayText, now);
  // `3 12` or `12 dec`: what looks like a clock may be the day.
  if (day === undefined && dayText !== '') {
    const whole = dayOf(plain, now);
    return whole === undefined
      ? fail({ code: 'not-a-moment', text })
      : whole === 'none'
        ? fail({ code: 'no-such-day', text })
        : ok(at(whole, hour));
  }
  if (day === 'none') return fail({ code: 'no-such-day', text });
  if (clockText === '') return day === undefined ? fail({ code: 'not-a-moment', text }) : ok(at(day, hour));
  const clock = clockOf(clockText);
  if (clock === undefined) return fail({ code: 'no-such-time', text });
  if (day !== undefined) return ok(at(day, clock));
  const today = at(onClock(now), clock);
  return ok(today > now ? today : at(shifted(now, 1), clock));
};

export const sayMomentError = (e: MomentError): string => {
  switch (e.code) {
    case 'empty':
      return 'When? Such as Thu 16:00, 31.12. or +3 d.';
    case 'not-a-moment':
      return `“${e.text}” is no day: such as Thu 16:00, 31.12. or +3 d.`;
    case 'no-such-day':
      return `There is no such day as “${e.text}”: the day comes before the month, as 31.12.`;
    case 'no-such-time':
      return `There is no such time as in “${e.text}”: such as 15:40.`;
  }
};

/** A day, undefined where it is none in form, `none` where the calendar has no such. */
const dayOf = (text: string, now: number): Date | 'none' | undefined => {
  if (text === 'today') return onClock(now);
  if (text === 'tomorrow') return shifted(now, 1);
  const weekday = WEEKDAYS.findIndex((w) => text.length >= 2 && w.startsWith(text.replace(/\.$/, '')));
  if (weekday >= 0) return shifted(now, ((weekday - onClock(now).getDay() + 6) % 7) + 1);
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  if (iso !== null) return dated(Number(iso[3]), Number(iso[2]) - 1, Number(iso[1]));
  const numbers = /^(\d{1,2})[./](\d{1,2})\.?(?:[./]?(\d{4}|\d{2}))?$/.exec(text);
  const words = /^(\d{1,2})\.? ([a-z]{3,9})\.?(?: (\d{4}))?$/.exec(text);
  const month = numbers !== null ? Number(numbers[2]) - 1 : MONTHS.findIndex((m) => m.startsWith(words?.[2] ?? '-'));
  const [, day, , year] = numbers ?? words ?? [];
  if (day === undefined || (numbers === null && month < 0)) return undefined;
  if (year !== undefined) return dated(Number(day), month, Number(year) + (year.length === 2 ? 2000 : 0));
  const thisYear = dated(Number(day), month, onClock(now).getFullYear());
  if (thisYear !== 'none' && thisYear.getTime() > now - JUST_NOW_MS) return thisYear;
  return dated(Number(day), month, onClock(now).getFullYear() + 1);
};

const dated = (day: number, month: number, year: number): Date | 'none' => {
  const date = whenOnClock(year, month, day);
  return date.getDate() === day && date.getMonth() === month && date.getFullYear() === year ? date : 'none';
};
const shifted = (now: number, days: number): Date => {
  const date = onClock(now);
  date.setDate(date.getDate() + days);
  return date;
};
const at = (day: Date, hour: number): number => onClock(day.getTime()).setHours(Math.floor(hour), Math.round((hour % 1) * 60), 0, 0);

/** Days and weeks keep the clock of the standard hour; minutes and hours are counted from now. */
const later = (now: number, n: number, unit: string, hour: number): number => {
  const hours = n * (SPANS_H[unit.replace(/s$/, '')] ?? 0);
  return hours >= 24 || /^[dw]/.test(unit) ? at(shifted(now, Math.round(hours / 24)), hour) : now + hours * HOUR_MS;
};

/** Hours of the day; undefined where a clock has no such. */
const clockOf = (text: string): number | undefined => {
  const [, h, min = '0', half] = /^(\d{1,2})(?::(\d{2}))? ?(am|pm|h)?$/.exec(text) ?? [];
  const hour = half === 'pm' && Number(h) < 12 ? Number(h) + 12 : half === 'am' && Number(h) === 12 ? 0 : Number(h);
  return hour < 24 && Number(min) < 60 && !((half === 'am' || half === 'pm') && (Number(h) < 1 || Number(h) > 12))
    ? hour + Number(min) / 60
    : undefined;
};
