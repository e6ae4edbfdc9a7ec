import fc from 'fast-check';
import { afterEach, describe, expect, test } from 'vitest';
import { amountOf, centsOf, nearest, percentOf } from '../quantity/cents';
import { localeOf, STANDARD_SHOP } from '../shop/settings';
import { type Price, type PriceOf, priceKey, sayPrice } from './price';
import { daysOf, fixedPrice, roundingOf, sleevePrices, taxOn, unitsInstead, withPrices } from './price-list';

afterEach(() => {
  globalThis.eddrinLocale = undefined;
});
const inMoney = (currency: string): void => {
  globalThis.eddrinLocale = localeOf({ ...STANDARD_SHOP, currency }, ['SQ']);
};

describe('whole cents', () => {
  test('an amount as it is written, a half away from zero; a yen has no smaller coin, a dinar has thousandths', () => {
    expect([0.285, 1.005, 12.5, 0.1 + 0.2, -0.285, 0].map(centsOf)).toEqual([29, 101, 1250, 30, -29, 0]);
    inMoney('JPY');
    expect([centsOf(1510), centsOf(10.5), amountOf(1510)]).toEqual([1510, 11, 1510]);
    inMoney('BHD');
    expect([centsOf(1.2345), amountOf(1235)]).toEqual([1235, 1.235]);
  });

  test('what was said in cents comes back from its amount', () => {
    for (const money of ['EUR', 'JPY', 'BHD']) {
      inMoney(money);
      fc.assert(fc.property(fc.integer({ min: -1e10, max: 1e10 }), (cents) => centsOf(amountOf(cents)) === cents));
    }
  });

  test('a per cent by hand, and never half a cent off', () => {
    expect([percentOf(210, 35), percentOf(1999, 20), percentOf(-210, 35), percentOf(333, 5.5), percentOf(0, 20)]).toEqual([
      74, 400, -74, 18, 0,
    ]);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e10 }), fc.integer({ min: 0, max: 10_000 }), (cents, hundredths) => {
        // In whole numbers: twice the distance from the exact share is at most one.
        const off = BigInt(percentOf(cents, hundredths / 100)) * 10_000n - BigInt(cents) * BigInt(hundredths);
        return (off < 0n ? -off : off) * 2n <= 10_000n;
      }),
    );
  });

  test('to five cents', () => expect([1, 2, 3, 7, 8, 12, -3].map((c) => nearest(c, 5))).toEqual([0, 0, 5, 5, 10, 10, -5]));
});

const sleeve = (supplier: string, uptoMm: number | null, cents: number, days: number, family: 'slave' | null = null): Price => ({
  what: 'sleeve',
  family,
  uptoMm,
  supplier,
  days,
  cents,
});
const instead = (number: string, more: Partial<PriceOf<'exchange' | 'new'>> = {}): Price => ({
  what: 'exchange',
  number,
  family: 'slave',
  boreMm: 22.225,
  fitment: null,
  supplier: 'Harbour Spares',
  stock: 0,
  days: 3,
  cents: 9000,
  ...more,
});
const work = (cents: number, more: Partial<PriceOf<'work'>> = {}): Price => ({
  what: 'work',
  family: null,
  way: null,
  station: 'hone',
  cents,
  ...more,
});

describe('the price list', () => {
  test('a fixed price is the one that names most of the unit', () => {
    const list = [work(1000), work(1200, { way: 'hone' }), work(1500, { family: 'slave' }), work(9000, { station: null, family: 'slave' })];
    const of = (family: 'slave' | 'booster', way: 'hone' | 'reuse') => fixedPrice(list, { family, way }, 'hone');
    expect([of('booster', 'reuse'), of('booster', 'hone'), of('slave', 'hone')]).toEqual([1000, 1200, 1500]);
    expect(fixedPrice(list, { family: 'slave', way: 'reuse' }, null)).toBe(9000);
    expect([
      fixedPrice(list, { family: 'booster', way: 'reuse' }, null),
      fixedPrice(list, { family: 'slave', way: 'hone' }, 'prove'),
    ]).toEqual([undefined, undefined]);
  });

  test('a sleeve costs what the narrowest line of each supplier says; the cheapest first', () => {
    const list = [
      sleeve('Quayside', 30, 6000, 7),
      sleeve('Quayside', 50, 8000, 7),
      sleeve('Quayside', 30, 5500, 7, 'slave'),
      sleeve('Mill Lane', null, 5800, 14),
    ];
    const said = (family: 'slave' | 'booster', mm: number) => sleevePrices(list, family, mm).map((p) => [p.supplier, p.cents]);
    expect(said('booster', 22)).toEqual([
      ['Mill Lane', 5800],
      ['Quayside', 6000],
    ]);
    expect(said('slave', 22)).toEqual([
      ['Quayside', 5500],
      ['Mill Lane', 5800],
    ]);
    expect([said('slave', 42), said('slave', 60)]).toEqual([
      [
        ['Mill Lane', 5800],
        ['Quayside', 8000],
      ],
      [['Mill Lane', 5800]],
    ]);
    expect(sleevePrices([], 'slave', 20)).toEqual([]);
  });

  test('units instead are of its fitment, or of its family and bore; none of an empty shelf of one’s own', () => {
    const list = [
      instead('X1', { days: 3 }),
      instead('X2', { supplier: '', stock: 2, days: 0, cents: 12_000 }),
      instead('X3', { supplier: '', stock: 0 }),
      instead('X4', { boreMm: 19.05 }),
      instead('N1', { what: 'new', fitment: 'tractor', family: 'slave', days: 1 }),
      instead('X5', { family: 'booster' }),
    ];
    const said = (boreMm: number | null, fitment: string | null) =>
      unitsInstead(list, { family: 'slave', boreMm, fitment }).map((p) => [p.number, daysOf(p)]);
    expect(said(22.2, 'tractor')).toEqual([
      ['X2', 0],
      ['N1', 1],
      ['X1', 3],
    ]);
    expect(said(19.05, null)).toEqual([['X4', 3]]);
    expect(said(null, null).map(([n]) => n)).toEqual(['X2', 'X1', 'X4']);
  });

  test('a tax is its own kind’s, else the one on all else', () => {
    const list: readonly Price[] = [
      { what: 'tax', name: 'VAT', on: null, pct: 20 },
      { what: 'tax', name: 'reduced', on: 'parts', pct: 10 },
      { what: 'rounding', cents: 5 },
    ];
    expect([taxOn(list, 'parts')?.pct, taxOn(list, 'work')?.pct, taxOn([], 'work')]).toEqual([10, 20, undefined]);
    expect([roundingOf(list), roundingOf([])]).toEqual([5, 1]);
  });

  test('lines written anew stay in their place, new ones stand behind', () => {
    const list = [work(1000), sleeve('Quayside', 30, 6000, 7)];
    const after = withPrices(list, [instead('X1'), work(1100)], priceKey);
    expect(after.map((p) => [priceKey(p), 'cents' in p ? p.cents : 0])).toEqual([
      ['work any any hone', 1100],
      ['sleeve any 30 Quayside', 6000],
      ['exchange X1 Harbour Spares', 9000],
    ]);
    expect(after.map((p) => sayPrice(p, (f) => f))).toEqual([
      'Hone, any family',
      'any family, bore up to 30.00 mm, Quayside',
      'X1, slave ⌀ 22.23 mm, Harbour Spares',
    ]);
  });
});
