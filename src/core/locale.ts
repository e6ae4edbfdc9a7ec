import { TZDate } from '@date-fns/tz';

/** How this shop writes. One a process, on the server and in a browser, as a machine has one time zone: set from the shop's settings before anything is said. */
export type Locale = {
  /** Before the number of a tag: the one in use, then those of before, which old labels still bear. */
  readonly tagPrefixes: readonly [string, ...string[]];
  /** Name, address and telephone, as they stand on papers; none where nothing was set. */
  readonly letterhead: readonly string[];
  /** Before the decimals of a figure, on pages, papers and in files. What is typed may have either. */
  readonly decimalMark: '.' | ',';
  /** As Intl names it, such as EUR; null where none was chosen: amounts stand without one. */
  readonly currency: string | null;
  /** As the IANA names it, such as Europe/Vienna; null: as the machine's clock has it. */
  readonly timeZone: string | null;
};

const STANDARD: Locale = { tagPrefixes: ['SQ'], letterhead: [], decimalMark: '.', currency: null, timeZone: null };

declare global {
  // Also when a bundler makes two copies of this module; a page sets it before its scripts run.
  var eddrinLocale: Locale | undefined;
}

/** Of words, days and money. Words are translated as `scripts/words` does; this goes with them. */
export const LANGUAGE: string = 'en-GB';

export const locale = (): Locale => globalThis.eddrinLocale ?? STANDARD;

/** What zones' clocks were asked last: a plan asks the same hours for each of its people, and each costs 70 µs. */
const asked = new Map<string, number>();
const MOST_ASKED = 20_000;

/** A moment on the shop's clock: its hours, days and months are those of the shop's time zone. @param at ms since 1970 */
export const onClock = (at: number): Date => {
  const { timeZone } = locale();
  return timeZone === null ? new Date(at) : new TZDate(at, timeZone);
};

/** The moment at which the shop's clock shows a day, and an hour of it. @param month from 0 */
export const whenOnClock = (year: number, month: number, day: number, hour = 0, minute = 0): Date => {
  const { timeZone } = locale();
  if (timeZone === null) return new Date(year, month, day, hour, minute);
  const key = `${timeZone} ${year} ${month} ${day} ${hour} ${minute}`;
  const at = asked.get(key) ?? new TZDate(year, month, day, hour, minute, timeZone).getTime();
  if (asked.size >= MOST_ASKED) asked.clear();
  asked.set(key, at);
  return new TZDate(at, timeZone);
};
