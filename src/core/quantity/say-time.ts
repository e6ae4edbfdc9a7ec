import { LANGUAGE, locale, onClock } from '../locale';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** What the calendar of a time zone says. Made once: making a formatter costs a hundred times what using it does, and a page says many dates. */
const calendarOf = (timeZone: string | undefined) => {
  const form = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(LANGUAGE, { ...options, timeZone });
  return {
    weekday: form({ weekday: 'short' }),
    day: form({ day: 'numeric', month: 'short' }),
    dayAndYear: form({ day: 'numeric', month: 'short', year: 'numeric' }),
    month: form({ month: 'short', year: 'numeric' }),
    full: form({ dateStyle: 'full', timeStyle: 'short' }),
    fullDay: form({ dateStyle: 'full' }),
  };
};
const calendars = new Map<string | null, ReturnType<typeof calendarOf>>();
const calendar = (): ReturnType<typeof calendarOf> => {
  const { timeZone } = locale();
  const made = calendars.get(timeZone) ?? calendarOf(timeZone ?? undefined);
  calendars.set(timeZone, made);
  return made;
};

/** A span as a bench says it: `0:42`, `3 h 10`, `2 d 4 h`. Minutes are rounded up. */
export const saySpan = (ms: number): string => {
  const minutes = Math.ceil(Math.abs(ms) / MINUTE_MS);
  if (minutes < 60) return `0:${String(minutes).padStart(2, '0')}`;
  const hours = Math.floor(minutes / 60);
  if (hours < 24) return `${hours} h ${String(minutes % 60).padStart(2, '0')}`;
  return `${Math.floor(hours / 24)} d ${hours % 24} h`;
};

/** Until when, from now: `for 0:02 more`. */
export const sayUntil = (until: number, now: number): string => `for ${saySpan(until - now)} more`;

/** A moment that a calendar has; what lies in the database of before may be none. */
export const isMoment = (at: number): boolean => Math.abs(at) <= 8.64e15;
const NO_DATE = 'no date that can be read';

/** When, as people say it: `today 15:40`, `Thu 9:00` within a week, else `12 Nov 9:00`. On the shop's clock. */
export const sayWhen = (at: number, now: number): string => {
  if (!isMoment(at)) return NO_DATE;
  const clock = clockOf(at);
  const days = Math.round((startOfDay(at) - startOfDay(now)) / DAY_MS);
  if (days === 0) return `today ${clock}`;
  if (days > 0 && days < 7) return `${calendar().weekday.format(at)} ${clock}`;
  return `${(Math.abs(days) > 300 ? calendar().dayAndYear : calendar().day).format(at)} ${clock}`;
};

/** A date that stays true on paper: `25 Nov 2026 12:00`. On the shop's clock. */
export const sayDate = (at: number): string => (!isMoment(at) ? NO_DATE : `${calendar().dayAndYear.format(at)} ${clockOf(at)}`);

/** A day without its hour: `25 Nov 2026`. */
export const sayDay = (at: number): string => (isMoment(at) ? calendar().dayAndYear.format(at) : NO_DATE);

/** A day with its weekday: `Wednesday, 25 November 2026`. */
export const sayWeekday = (at: number): string => (isMoment(at) ? calendar().fullDay.format(at) : NO_DATE);

/** A month: `Nov 2026`. */
export const sayMonth = (at: number): string => (isMoment(at) ? calendar().month.format(at) : NO_DATE);

/** The full date, for hovering. */
export const sayFullDate = (at: number): string => (isMoment(at) ? calendar().full.format(at) : NO_DATE);

/** A day as files have it: `2026-11-25`. */
export const isoDay = (at: number): string => {
  const day = onClock(at);
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
};

const clockOf = (at: number): string => {
  const date = onClock(at);
  return `${date.getHours()}:${String(date.getMinutes()).padStart(2, '0')}`;
};
const startOfDay = (at: number): number => onClock(at).setHours(0, 0, 0, 0);
