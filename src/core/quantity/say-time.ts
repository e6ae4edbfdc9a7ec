const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

// Made once: making a formatter costs a hundred times what using it does, and a page says many dates.
const WEEKDAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short' });
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
const DAY_AND_YEAR = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
const FULL = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeStyle: 'short' });

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

/** When, as people say it: `today 15:40`, `Thu 9:00` within a week, else `12 Nov 9:00`. In the machine's time zone. */
export const sayWhen = (at: number, now: number): string => {
  if (!isMoment(at)) return NO_DATE;
  const date = new Date(at);
  const clock = clockOf(date);
  const days = Math.round((startOfDay(at) - startOfDay(now)) / DAY_MS);
  if (days === 0) return `today ${clock}`;
  if (days > 0 && days < 7) return `${WEEKDAY.format(date)} ${clock}`;
  return `${(Math.abs(days) > 300 ? DAY_AND_YEAR : DAY).format(date)} ${clock}`;
};

/** A date that stays true on paper: `25 Nov 2026 12:00`. In the machine's time zone. */
export const sayDate = (at: number): string => (!isMoment(at) ? NO_DATE : `${DAY_AND_YEAR.format(at)} ${clockOf(new Date(at))}`);

/** The full date, for hovering. */
export const sayFullDate = (at: number): string => (isMoment(at) ? FULL.format(at) : NO_DATE);

const clockOf = (date: Date): string => `${date.getHours()}:${String(date.getMinutes()).padStart(2, '0')}`;
const startOfDay = (at: number): number => new Date(at).setHours(0, 0, 0, 0);
