import { expect, test } from 'vitest';
import { hereLockedUntil, personLockedUntil, placeLockedUntil } from './lock-out';

const inARow = (n: number): readonly number[] => Array.from({ length: n }, () => 0);

test('wrong PINs for a person from one place: four are free, the fifth locks for a minute, each further one twice as long, an hour at most', () => {
  const locks = Array.from({ length: 14 }, (_, i) => hereLockedUntil(inARow(i + 1), 0));
  expect(locks.slice(0, 7)).toEqual([undefined, undefined, undefined, undefined, 60_000, 120_000, 240_000]);
  expect(locks.at(-1)).toBe(3_600_000);
  expect([hereLockedUntil(inARow(5), 59_999), hereLockedUntil(inARow(5), 60_000)]).toEqual([60_000, undefined]);
});

test('thirty from one place in a minute, or sixty for a person from everywhere in an hour, wait until the first of them is past', () => {
  const every = (ms: number, n: number): readonly number[] => Array.from({ length: n }, (_, i) => i * ms);
  expect([placeLockedUntil(every(1000, 29), 30_000), placeLockedUntil(every(1000, 30), 30_000)]).toEqual([undefined, 60_000]);
  expect(placeLockedUntil(every(3000, 30), 90_000)).toBeUndefined();
  expect([personLockedUntil(every(1000, 59), 60_000), personLockedUntil(every(1000, 60), 60_000)]).toEqual([undefined, 3_600_000]);
  expect(personLockedUntil(every(61_000, 60), 3_660_000)).toBeUndefined();
});
