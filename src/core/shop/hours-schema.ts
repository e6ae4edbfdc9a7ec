import { z } from 'zod';
import { text } from '../schema/text';
import { DAYS, parseHours } from './hours';

const hoursOfDay = text()
  .trim()
  .max(60)
  .superRefine((typed, context) => {
    const read = parseHours(typed);
    if (!read.ok) context.addIssue({ code: 'custom', message: read.error });
  });

/** Hours of each day of a week, as they are typed. */
export const HoursSchema = z.object(
  Object.fromEntries(DAYS.map((d) => [d, hoursOfDay])) as { readonly [D in (typeof DAYS)[number]]: typeof hoursOfDay },
);
export type HoursTyped = z.output<typeof HoursSchema>;

/** A day as `2026-12-24`. */
const DayName = text()
  .trim()
  .max(40)
  .refine((d) => isDayName(d), 'is a day, such as 24 Dec');
const isDayName = (day: string): boolean => {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day)) return false;
  const at = Date.parse(`${day}T12:00:00Z`);
  return Number.isFinite(at) && new Date(at).toISOString().startsWith(day);
};

/** Days on which nobody, or somebody, is not there; `until` is the last of several, empty where it is one. */
export const DaysOffSchema = z
  .array(
    z
      .object({ from: DayName, until: z.union([z.literal(''), DayName], 'is a day, such as 24 Dec'), why: text().trim().max(80) })
      .refine((d) => d.until === '' || !isDayName(d.from) || !isDayName(d.until) || d.from <= d.until, {
        path: ['until'],
        message: 'lies before the first day',
      }),
  )
  .max(200);
export type DaysOff = z.output<typeof DaysOffSchema>;
