import { onClock, whenOnClock } from '../locale';
import { DAYS, type Day, type Span, type WeekHours } from '../shop/hours';
import type { DaysOff } from '../shop/hours-schema';

/** When somebody is there, min from a moment on. */
export type Shift = { readonly fromMin: number; readonly toMin: number };
const MINUTE_MS = 60_000;

/** Is a day among those on which nobody, or somebody, is not there? @param day as `2026-12-24` */
export const isOff = (off: DaysOff, day: string): boolean => off.some((o) => day >= o.from && day <= (o.until === '' ? o.from : o.until));

/**
 * A week's hours from a moment on, on the shop's clock, also where that is set forward or back.
 * @param now ms since 1970
 * @param days how many calendar days on, today among them
 */
export const shiftsFrom = (now: number, days: number, hours: WeekHours, off: DaysOff): readonly Shift[] => {
  const today = dayOf(now).day;
  return Array.from({ length: days }, (_, d) => today + d * DAY_MS).flatMap((day) => {
    const at = (minute: number): number => {
      const on = new Date(day);
      return whenOnClock(on.getUTCFullYear(), on.getUTCMonth(), on.getUTCDate(), Math.floor(minute / 60), minute % 60).getTime();
    };
    return spansOn(day, hours, off).flatMap(([from, until]) => {
      const shift = { fromMin: Math.max(0, (at(from) - now) / MINUTE_MS), toMin: (at(until) - now) / MINUTE_MS };
      return shift.toMin > shift.fromMin ? [shift] : [];
    });
  });
};

const [DAY_MS, DAY_MIN] = [86_400_000, 1440];

/** A moment as the shop's clock shows it: its calendar day, as the start of that day would be at Greenwich, and its minute. */
const dayOf = (at: number): { readonly day: number; readonly minute: number } => {
  const on = onClock(at);
  return { day: Date.UTC(on.getFullYear(), on.getMonth(), on.getDate()), minute: on.getHours() * 60 + on.getMinutes() };
};

/** The hours of one calendar day; none on a day that is off. @param day as `dayOf` gives it */
const spansOn = (day: number, hours: WeekHours, off: DaysOff): readonly Span[] => {
  const date = new Date(day);
  return isOff(off, date.toISOString().slice(0, 10)) ? [] : hours[DAYS[(date.getUTCDay() + 6) % 7] as Day];
};

/**
 * How many hours of a week's lie between two moments, on the shop's clock. The night in which it is set counts as any other: a clock is asked twice, not for each day.
 * @param from ms since 1970, as `until`
 */
export const hoursBetween = (from: number, until: number, hours: WeekHours, off: DaysOff): number => {
  if (!(from < until)) return 0;
  const [first, last] = [dayOf(from), dayOf(until)];
  let minutes = 0;
  for (let day = first.day; day <= last.day; day += DAY_MS) {
    const [begins, ends] = [day === first.day ? first.minute : 0, day === last.day ? last.minute : DAY_MIN];
    for (const [opens, closes] of spansOn(day, hours, off)) minutes += Math.max(0, Math.min(closes, ends) - Math.max(opens, begins));
  }
  return minutes / 60;
};
