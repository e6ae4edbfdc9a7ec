import { expect, test } from 'vitest';
import { STANDARD_SHOP } from '../shop/settings';
import { oddPromise } from './promise';

const now = new Date(2026, 4, 6, 9).getTime();
test.each([
  ['a Thursday at four', new Date(2026, 4, 7, 16), undefined],
  ['a Saturday', new Date(2026, 4, 9, 10), 'That is a Saturday: the shop is closed.'],
  ['a Sunday', new Date(2026, 4, 10, 10), 'That is a Sunday: the shop is closed.'],
  ['four in the morning', new Date(2026, 4, 7, 4), 'On a Thursday the shop is open 7:30–12:00 13:00–17:00.'],
  ['eight in the evening', new Date(2026, 4, 7, 20), 'On a Thursday the shop is open 7:30–12:00 13:00–17:00.'],
  ['an hour ago', new Date(2026, 4, 6, 8), 'That time is over.'],
])('a promise for %s', (_, at, said) => expect(oddPromise(STANDARD_SHOP)(at.getTime(), now)).toBe(said));
