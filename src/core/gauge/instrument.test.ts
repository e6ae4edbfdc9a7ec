import { fc, test as property } from '@fast-check/vitest';
import { expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import { sayUnfit, whyUnfit } from './instrument';

const DAY = 86_400_000;
const NOW = 1000 * DAY;
const checked = (daysAgo: number, offUm = 0) => ({ lastCheck: { at: NOW - daysAgo * DAY, ringMm: 22.225, readMm: 22.225 + offUm / 1000 } });
const said = (daysAgo: number, offUm = 0): string | undefined => {
  const why = whyUnfit(checked(daysAgo, offUm), STANDARD_RULES, NOW);
  return why && sayUnfit('Dial gauge', why);
};

test('a gauge may measure while its ring check is young and near enough', () => {
  expect([said(0), said(30), said(29, 4), said(3, -4)]).toEqual([undefined, undefined, undefined, undefined]);
  expect(said(31.5)).toBe('Dial gauge was last held against its ring 31 days ago; 30 are allowed. Check it first.');
  expect(said(3, -4.5)).toBe('Dial gauge was 4.5 µm off its ring; 4 are allowed. Set it anew and check it.');
  expect(whyUnfit({ lastCheck: null }, STANDARD_RULES, NOW)).toEqual({ code: 'never-checked' });
});

property.prop([fc.double({ min: 0, max: 90, noNaN: true }), fc.double({ min: 0, max: 9, noNaN: true })])(
  'an older check, or one further off, never makes it fit again',
  (days, off) => {
    if (whyUnfit(checked(days, off), STANDARD_RULES, NOW) === undefined) return;
    expect(whyUnfit(checked(days + 1, off), STANDARD_RULES, NOW)).toBeDefined();
    expect(whyUnfit(checked(days, off + 1), STANDARD_RULES, NOW)).toBeDefined();
  },
);
