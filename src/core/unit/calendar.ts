import { isMoment } from '../quantity/say-time';

/** One line of a calendar. Time in ms since 1970. */
export type CalendarEntry = {
  readonly id: string;
  readonly at: number;
  /** How long; a quarter of an hour where it is a moment. */
  readonly minutes?: number;
  readonly title: string;
  readonly text: string;
  readonly alarm: boolean;
};

/**
 * A calendar feed. Text is escaped and lines are folded at 75 octets.
 * @param now when it was made, ms since 1970
 * @source RFC 5545, sections 3.1 (folding), 3.3.11 (text), 3.6.1 (event), 3.6.6 (alarm)
 */
export const iCalendar = (entries: readonly CalendarEntry[], now: number): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Eddrin//EN',
    'CALSCALE:GREGORIAN',
    // What has no date of a calendar is told on its unit's own page.
    ...entries
      .filter((e) => isMoment(e.at))
      .flatMap((e) => [
        'BEGIN:VEVENT',
        `UID:${e.id}@eddrin`,
        `DTSTAMP:${stamp(now)}`,
        `DTSTART:${stamp(e.at)}`,
        `DURATION:PT${e.minutes ?? 15}M`,
        `SUMMARY:${escaped(e.title)}`,
        `DESCRIPTION:${escaped(e.text)}`,
        ...(e.alarm ? ['BEGIN:VALARM', 'ACTION:DISPLAY', 'TRIGGER:PT0S', `DESCRIPTION:${escaped(e.title)}`, 'END:VALARM'] : []),
        'END:VEVENT',
      ]),
    'END:VCALENDAR',
  ]
    .map((line) => `${folded(line)}\r\n`)
    .join('');

const stamp = (at: number): string => new Date(at).toISOString().replace(/[-:]|\.\d{3}/g, '');
const escaped = (text: string): string => text.replace(/([\\;,])/g, '\\$1').replace(/\r\n?|\n/g, '\\n');

const OCTETS = 75;
/** Breaks between characters, never inside one; what goes on starts with a space. */
const folded = (line: string): string => {
  const rows: string[] = [];
  let row = '';
  let octets = 0;
  for (const char of line) {
    const size = new TextEncoder().encode(char).length;
    if (octets + size > OCTETS) {
      rows.push(row);
      [row, octets] = [' ', 1];
    }
    row += char;
    octets += size;
  }
  return [...rows, row].join('\r\n');
};
