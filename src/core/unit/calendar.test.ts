import { expect, test } from 'vitest';
import { sayWait } from '../quantity/say-wait';
import { type CalendarEntry, iCalendar } from './calendar';

const AT = Date.UTC(2026, 10, 25, 14, 30);
const entry = (more: Partial<CalendarEntry> = {}): CalendarEntry => ({
  id: 'e1',
  at: AT,
  title: 'SQ-0012 soak is over',
  text: 'Tug',
  alarm: true,
  ...more,
});
const lines = (...entries: readonly CalendarEntry[]): readonly string[] => iCalendar(entries, AT).split('\r\n');

test('an entry is an event at its time, with an alarm where one is wanted', () => {
  expect(lines(entry())).toEqual([
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Eddrin//EN',
    'CALSCALE:GREGORIAN',
    'BEGIN:VEVENT',
    'UID:e1@eddrin',
    'DTSTAMP:20261125T143000Z',
    'DTSTART:20261125T143000Z',
    'DURATION:PT15M',
    'SUMMARY:SQ-0012 soak is over',
    'DESCRIPTION:Tug',
    'BEGIN:VALARM',
    'ACTION:DISPLAY',
    'TRIGGER:PT0S',
    'DESCRIPTION:SQ-0012 soak is over',
    'END:VALARM',
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ]);
  expect(lines(entry({ alarm: false })).join()).not.toContain('VALARM');
});

test('signs that the format uses itself are escaped', () => {
  expect(lines(entry({ text: 'a, b; c\\d\nnext' }))).toContain('DESCRIPTION:a\\, b\\; c\\\\d\\nnext');
});

test('long lines are folded at 75 octets, between characters', () => {
  const text = 'Straßenbahn-Werkstätte '.repeat(12);
  const feed = iCalendar([entry({ text })], AT);
  for (const line of feed.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  expect(feed.replaceAll('\r\n ', '')).toContain(`DESCRIPTION:${text}`);
});

test.each([
  [AT + 3_600_000, '1 h 00'],
  [AT, 'over now'],
  [AT - 59_000, 'over now'],
  [AT - 12 * 60_000, 'over by 0:12'],
])('a wait that ends at %i says %s', (endsAt, says) => expect(sayWait(endsAt, AT)).toBe(says));
