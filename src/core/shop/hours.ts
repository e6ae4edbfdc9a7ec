import { onClock } from '../locale';
import { fail, ok, type Result } from '../result';

/** Days of the week as a calendar of work begins. */
export const DAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;
export type Day = (typeof DAYS)[number];
export const DAY_WORDS: { readonly [D in Day]: string } = {
  monday: 'Monday',
  tuesday: 'Tuesday',
  wednesday: 'Wednesday',
  thursday: 'Thursday',
  friday: 'Friday',
  saturday: 'Saturday',
  sunday: 'Sunday',
};

/** From when until when, in minutes of the day; a day ends at 1440. */
export type Span = readonly [from: number, until: number];
/** Hours of each day of a week, in order; none: that day is free. */
export type WeekHours = { readonly [D in Day]: readonly Span[] };

const DAY_MIN = 24 * 60;
const MOST_SPANS = 4;

/**
 * Hours of a day as people write them: `8-12 13-17`, `7:30–16`, `8-12, 13-17`; nothing, or `closed`, is none.
 * @returns spans in order that do not meet; else what is wrong, in words
 */
export const parseHours = (text: string): Result<readonly Span[], string> => {
  const plain = text.trim().toLowerCase();
  if (plain === '' || plain === 'closed' || plain === 'free') return ok([]);
  const words = plain
    .replace(/\s*(?:[-–]|to)\s*/g, '-')
    .split(/[\s,;]+|and/)
    .filter((w) => w !== '');
  const spans: Span[] = [];
  for (const word of words) {
    const [, fromH, fromMin = '0', untilH, untilMin = '0'] = /^(\d{1,2})(?:[:.](\d{2}))?-(\d{1,2})(?:[:.](\d{2}))?$/.exec(word) ?? [];
    if (fromH === undefined) return fail(`“${word}” are no hours: such as 8-12 13-17`);
    const [from, until] = [Number(fromH) * 60 + Number(fromMin), Number(untilH) * 60 + Number(untilMin)];
    if (Number(fromMin) > 59 || Number(untilMin) > 59 || until > DAY_MIN) return fail(`“${word}”: a day has hours from 0:00 to 24:00`);
    if (from >= until) return fail(`“${word}” ends before it begins`);
    spans.push([from, until]);
  }
  if (spans.length > MOST_SPANS) return fail(`no more than ${MOST_SPANS} spans a day`);
  const met = spans.find(([from], i) => i > 0 && from <= (spans[i - 1] as Span)[1]);
  return met === undefined ? ok(spans) : fail(`${saySpans([met])} begins before the one before it has ended`);
};

/** Such hours, said: `8:00–12:00 13:00–17:00`; nothing where there are none. */
export const saySpans = (spans: readonly Span[]): string => spans.map(([from, until]) => `${clock(from)}–${clock(until)}`).join(' ');
const clock = (minutes: number): string => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

/** Is a moment inside of a week's hours, on the shop's clock? @param at ms since 1970 */
export const isWithin = (hours: WeekHours, at: number): boolean => {
  const { day, minute } = inWeek(at);
  return hours[day].some(([from, until]) => minute >= from && minute <= until);
};

/** Which day of the week a moment is on the shop's clock, and which minute of it. */
export const inWeek = (at: number): { readonly day: Day; readonly minute: number } => {
  const on = onClock(at);
  return { day: DAYS[(on.getDay() + 6) % 7] as Day, minute: on.getHours() * 60 + on.getMinutes() };
};
