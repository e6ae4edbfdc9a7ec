import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type ChargeLine, chargesOf } from './charge';
import { CHARGES, type Price } from './price';

const line = (charge: ChargeLine['charge'], cents: number): ChargeLine => ({ charge, words: charge, how: '', cents });
const tax = (name: string, on: ChargeLine['charge'] | null, pct: number): Price => ({ what: 'tax', name, on, pct });

test('by hand: work and parts at 21 %, units sold at 6 %, to be paid in steps of 5 cents', () => {
  const lines = [line('work', 4250), line('parts', 1199), line('units', 6101)];
  const prices = [tax('Standard', null, 21), tax('Reduced', 'units', 6), { what: 'rounding' as const, cents: 5 }];
  // 21 % of 54.49 is 11.4429, 6 % of 61.01 is 3.6606; 115.50 + 11.44 + 3.66 = 130.60.
  expect(chargesOf(lines, prices)).toEqual({
    lines,
    net: 11_550,
    taxes: [
      { name: 'Standard', pct: 21, on: 5449, cents: 1144 },
      { name: 'Reduced', pct: 6, on: 6101, cents: 366 },
    ],
    rounding: 0,
    total: 13_060,
  });
  // A cent less of work: 130.59 with tax 11.44 (21 % of 54.48 is 11.4408), rounded up to 130.60.
  expect(chargesOf([line('work', 4249), ...lines.slice(1)], prices)).toMatchObject({ rounding: 1, total: 13_060 });
});

test('a tax that two kinds of charge have under one name is taken once, on both; what has none is not taxed', () => {
  const prices = [tax('VAT', 'work', 20), tax('VAT', 'parts', 20)];
  // 20 % of 0.03 and of 0.04 are 0.6 and 0.8 cents: together 1.4, once 1 and not twice 1.
  expect(chargesOf([line('work', 3), line('parts', 4), line('outside', 1000)], prices)).toMatchObject({
    taxes: [{ name: 'VAT', pct: 20, on: 7, cents: 1 }],
    total: 1008,
  });
  expect(chargesOf([line('work', 3)], [])).toMatchObject({ taxes: [], total: 3 });
});

test('for any lines, rates and rounding: whole cents that add up, and a tax that whole numbers give too', () => {
  const anyLine = fc.record({ charge: fc.constantFrom(...CHARGES), cents: fc.integer({ min: -1_000_000, max: 100_000_000 }) });
  const rate = fc.integer({ min: 0, max: 10_000 });
  fc.assert(
    fc.property(fc.array(anyLine, { maxLength: 40 }), rate, rate, fc.constantFrom(1, 5, 10, 50, 100), (all, general, special, step) => {
      const lines = all.map((l) => line(l.charge, l.cents));
      const got = chargesOf(lines, [
        tax('General', null, general / 100),
        tax('Special', 'outside', special / 100),
        { what: 'rounding', cents: step },
      ]);
      expect(got.net).toBe(lines.reduce((s, l) => s + l.cents, 0));
      expect(got.net + got.taxes.reduce((s, t) => s + t.cents, 0) + got.rounding).toBe(got.total);
      expect(Math.abs(got.total % step)).toBe(0);
      expect(Math.abs(got.rounding) * 2).toBeLessThanOrEqual(step);
      expect(got.taxes.reduce((s, t) => s + t.on, 0)).toBe(got.net);
      for (const t of got.taxes) expect(BigInt(t.cents)).toBe(hundredths(BigInt(t.on), BigInt(t.name === 'General' ? general : special)));
    }),
  );
});

/** So many hundredths of a percent of some cents, a half away from zero, in whole numbers only. */
const hundredths = (cents: bigint, of: bigint): bigint => {
  const exact = cents * of;
  const size = ((exact < 0n ? -exact : exact) + 5000n) / 10_000n;
  return exact < 0n ? -size : size;
};
