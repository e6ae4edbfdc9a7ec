import { expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { cautionsAt } from './cautions';

const said = (station: Parameters<typeof cautionsAt>[0], family: keyof typeof FAMILIES): string =>
  cautionsAt(station, FAMILIES[family]).join(' ');

test('a booster is not asked for brake fluid, nor shut behind a shield; its spring and its vacuum are told', () => {
  expect(said('close-up', 'booster')).toMatch(/no brake fluid/);
  expect(said('close-up', 'booster')).not.toMatch(/Fresh fluid/);
  expect(said('prove', 'booster')).toMatch(/spring in a booster’s shell.*hands off/);
  expect(said('prove', 'booster')).not.toMatch(/80 bar/);
});

test('what holds fluid is told of its fluid and of the jet, whatever its family', () => {
  for (const family of ['master-tandem', 'slave', 'wheel-double', 'caliper-half'] as const) {
    expect([family, said('close-up', family)]).toEqual([family, expect.stringMatching(/Fresh fluid of the unit’s own kind only/)]);
    expect([family, said('prove', family)]).toEqual([family, expect.stringMatching(/never feel for a leak/)]);
  }
});

test('a stone is kept off the bottom where there is one', () => {
  expect(said('hone', 'master-tandem')).toMatch(/Blind end/);
  expect(said('hone', 'wheel-double')).not.toMatch(/Blind end/);
});
