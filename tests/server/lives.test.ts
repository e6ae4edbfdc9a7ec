import { beforeAll, describe, expect, test } from 'vitest';
import { METRIC } from '@/core/quantity/units';
import { lifeOf } from '@/core/unit/lives';
import { tagOf } from '@/core/unit/unit-record';
import { comebacks, firstLife, otherLives } from '@/db/unit/lives';
import { openShop, type Shop } from './shop';

// A unit that comes back is tied to the life it had, and what the first lives had in common is counted.

let shop: Shop;
let first: string;
let firstTag: string;
beforeAll(async () => {
  shop = await openShop();
  first = await shop.at('release');
  await shop.worker(first).release();
  firstTag = tagOf((await shop.record(first)).unit);
});

describe('the tag of a first life', () => {
  test('names a unit of the same family that has left; none is none', async () => {
    expect(await firstLife(shop.db, '', 'wheel-double')).toEqual({ ok: true, value: null });
    expect(await firstLife(shop.db, firstTag, 'wheel-double')).toEqual({ ok: true, value: first });
    expect(await firstLife(shop.db, firstTag.toLowerCase().replace('sq-', ''), 'wheel-double')).toEqual({ ok: true, value: first });
  });
  test('is refused with why: not there, still in the shop, of another family', async () => {
    const here = tagOf((await shop.record(await shop.book())).unit);
    const why = async (...args: [string, 'wheel-double' | 'slave']) => {
      const answer = await firstLife(shop.db, ...args);
      return answer.ok ? [] : answer.error.reasons;
    };
    expect(await why('SQ-9999', 'wheel-double')).toEqual([
      'There is no unit with the tag SQ-9999: leave it empty if it was not here before.',
    ]);
    expect(await why('hello', 'wheel-double')).toEqual(['There is no unit with the tag hello: leave it empty if it was not here before.']);
    expect(await why(here, 'wheel-double')).toEqual([`${here} is still in the shop.`]);
    expect(await why(firstTag, 'slave')).toEqual([expect.stringMatching(/^SQ-\d+ is a .*wheel cylinder.*, and this is not\.$/)]);
  });
});

test('both lives know each other, stand side by side, and are counted by kit, by rules and by what was found', async () => {
  const secondId = await shop.book({ comesBackFrom: first });
  const second = await shop.record(secondId);
  expect(await otherLives(shop.db, second.unit)).toEqual({ before: firstTag, after: [] });
  expect(await otherLives(shop.db, (await shop.record(first)).unit)).toEqual({ before: null, after: [tagOf(second.unit)] });
  const life = lifeOf(await shop.record(first), METRIC);
  expect(life).toMatchObject({ cause: null, verdict: 'reuse', gap: null, hold: 'hold, 5 bar: passed; hold, 80 bar: passed' });
  expect([life.kits, life.bore]).toEqual([
    expect.stringMatching(/^K-131, lot L131-/),
    expect.stringMatching(/^22\.\d{3} to 22\.\d{3} mm$/),
  ]);
  expect(lifeOf(second, METRIC)).toMatchObject({ kits: null, bore: null, hold: null });
  await shop.worker(secondId).itWas('cup-leaks');
  const all = await comebacks(shop.db);
  expect([all.inAll, all.newest]).toEqual([1, [tagOf(second.unit)]]);
  const counts = Object.fromEntries(all.tallies.map((t) => [t.name, t.counts]));
  expect(counts['By kit and lot']).toEqual([[life.kits, 1]]);
  expect(counts['By how the bore was saved']).toEqual([['reuse', 1]]);
  expect(counts['By rules in force']).toEqual([['version 1', 1]]);
  expect(counts['By what was found']).toEqual([[expect.stringMatching(/./), 1]]);
  expect(counts['By what was found']?.[0]?.[0]).not.toBe('not known yet');
});
