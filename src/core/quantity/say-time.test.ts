import { describe, expect, test } from 'vitest';
import { sayDate, sayDay, sayFullDate, saySpan, sayUntil, sayWeekday, sayWhen } from './say-time';
import { sayWait } from './say-wait';

const at = (day: number, hour: number, minute = 0): number => new Date(2026, 10, day, hour, minute).getTime();
const NOW = at(25, 9);

describe('when', () => {
  test.each([
    ['today', at(25, 15, 40), 'today 15:40'],
    ['just after midnight is today', at(25, 0, 5), 'today 0:05'],
    ['tomorrow, though less than a day away', at(26, 8), 'Thu 8:00'],
    ['within a week', at(30, 9), 'Mon 9:00'],
    ['a week away is a date', at(32, 9), '2 Dec 9:00'],
    ['yesterday is a date', at(24, 22, 15), '24 Nov 22:15'],
    ['a year ago has its year', new Date(2025, 10, 20, 7, 0).getTime(), '20 Nov 2025 7:00'],
  ])('%s', (_, when, text) => expect(sayWhen(when, NOW)).toBe(text));

  test('on paper', () => expect(sayDate(at(25, 15, 5))).toBe('25 Nov 2026 15:05'));

  test('a day without its hour, short and with its weekday', () =>
    expect([sayDay(at(25, 23, 40)), sayWeekday(at(25, 0, 5))]).toEqual([
      '25 Nov 2026',
      expect.stringMatching(/^Wednesday,? 25 November 2026$/),
    ]));
  test('in full, for hovering', () => expect(sayFullDate(at(25, 15, 40))).toMatch(/^Wednesday,? 25 November 2026 at 15:40$/));
});

describe('how long', () => {
  const MINUTE = 60_000;
  test.each([
    [1, '0:01'],
    [42 * MINUTE, '0:42'],
    [59.2 * MINUTE, '1 h 00'],
    [190 * MINUTE, '3 h 10'],
    [24 * 60 * MINUTE, '1 d 0 h'],
    [53 * 60 * MINUTE, '2 d 5 h'],
    [-70 * MINUTE, '1 h 10'],
  ])('%d ms: %s', (ms, text) => expect(saySpan(ms)).toBe(text));

  test.each([
    [90_000, '0:02'],
    [60_000, '60 s'],
    [400, '1 s'],
    [0, 'over now'],
    [-90_000, 'over by 0:02'],
  ])('a wait with %d ms left: %s', (left, text) => expect(sayWait(NOW + left, NOW)).toBe(text));

  test('until', () => expect(sayUntil(NOW + 90_000, NOW)).toBe('for 0:02 more'));
});
