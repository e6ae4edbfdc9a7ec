import { onClock, whenOnClock } from '../locale';
import { isoDay } from '../quantity/say-time';
import { DAYS, type Day, type WeekHours } from '../shop/hours';
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
  const today = onClock(now);
  return Array.from({ length: days }, (_, d) => d).flatMap((d) => {
    const at = (minute: number): number =>
      whenOnClock(today.getFullYear(), today.getMonth(), today.getDate() + d, Math.floor(minute / 60), minute % 60).getTime();
    const noon = at(720);
    if (isOff(off, isoDay(noon))) return [];
    return hours[DAYS[(onClock(noon).getDay() + 6) % 7] as Day].flatMap(([from, until]) => {
      const shift = { fromMin: Math.max(0, (at(from) - now) / MINUTE_MS), toMin: (at(until) - now) / MINUTE_MS };
      return shift.toMin > shift.fromMin ? [shift] : [];
    });
  });
};
