import { describe, expect, test } from 'vitest';
import { parseMoment, sayMomentError } from './parse-moment';

// A Sunday afternoon, on this machine's clock.
const NOW = new Date(2026, 10, 29, 14, 30).getTime();
const read = (text: string): string => {
  const result = parseMoment(text, NOW, 16);
  if (!result.ok) return result.error.code;
  const d = new Date(result.value);
  return `${d.getFullYear()}-${d.getMonth() + 1}-${d.getDate()} ${d.getHours()}:${String(d.getMinutes()).padStart(2, '0')}`;
};

test.each<[text: string, means: string]>([
  ['today', '2026-11-29 16:00'],
  ['today 15:40', '2026-11-29 15:40'],
  ['Tomorrow 9', '2026-11-30 9:00'],
  ['tomorrow at 4 pm', '2026-11-30 16:00'],
  // A weekday is the next one: on a Sunday, Sunday is in a week.
  ['Thu 9:00', '2026-12-3 9:00'],
  ['thursday', '2026-12-3 16:00'],
  ['Sun', '2026-12-6 16:00'],
  ['mo 8', '2026-11-30 8:00'],
  // A time alone is the next time that the clock shows it.
  ['15:00', '2026-11-29 15:00'],
  ['9:00', '2026-11-30 9:00'],
  ['12 am', '2026-11-30 0:00'],
  ['31.12.', '2026-12-31 16:00'],
  ['31.12. 16:30', '2026-12-31 16:30'],
  ['31/12', '2026-12-31 16:00'],
  ['1.2.27', '2027-2-1 16:00'],
  ['3.4.2027 7:05', '2027-4-3 7:05'],
  // Without a year: the next, but what has just been is meant as it was.
  ['20.11.', '2026-11-20 16:00'],
  ['3 Feb', '2027-2-3 16:00'],
  ['3 Dec', '2026-12-3 16:00'],
  ['3 Dec, 10:15', '2026-12-3 10:15'],
  ['28. December 2027', '2027-12-28 16:00'],
  ['2026-12-31', '2026-12-31 16:00'],
  ['2028-02-29', '2028-2-29 16:00'],
  ['+3 d', '2026-12-2 16:00'],
  ['in 2 weeks', '2026-12-13 16:00'],
  ['+90min', '2026-11-29 16:00'],
  ['+2 h', '2026-11-29 16:30'],
])('%s', (text, means) => expect(read(text)).toBe(means));

test.each<[text: string, code: string]>([
  ['', 'empty'],
  ['  ', 'empty'],
  ['soon', 'not-a-moment'],
  ['t', 'not-a-moment'],
  // Day first: there is no 31st month.
  ['12/31', 'no-such-day'],
  ['30.2.', 'no-such-day'],
  ['29.2.2027', 'no-such-day'],
  ['2027-13-01', 'no-such-day'],
  ['today 25:00', 'no-such-time'],
  ['today 9:75', 'no-such-time'],
  ['13 pm', 'no-such-time'],
])('not %s', (text, code) => {
  expect(read(text)).toBe(code);
  const result = parseMoment(text, NOW, 16);
  expect(result.ok ? '' : sayMomentError(result.error)).toMatch(/\.$/);
});

describe('the clock that is set back and forward', () => {
  test('a day later is the same hour of the next day, whatever the night is like', () => {
    for (const [month, day] of [
      [2, 27],
      [9, 24],
      [2, 7],
      [10, 1],
    ] as const) {
      const now = new Date(2026, month, day, 10).getTime();
      const result = parseMoment('+1 d', now, 16);
      const d = new Date(result.ok ? result.value : NaN);
      expect([d.getHours(), d.getDate()]).toEqual([16, new Date(2026, month, day + 1).getDate()]);
    }
  });
});
