import { afterEach, expect, test } from 'vitest';
import { localeOf, STANDARD_SHOP } from '../shop/settings';
import { sayMoney } from './say-money';

afterEach(() => {
  globalThis.eddrinLocale = undefined;
});
const of = (currency: string): void => {
  globalThis.eddrinLocale = localeOf({ ...STANDARD_SHOP, currency }, []);
};

test('an amount is said in the shop’s money, with as many decimals as that has', () => {
  expect(sayMoney(15.1)).toBe('15.10');
  of('EUR');
  expect([sayMoney(15.1), sayMoney(-3), sayMoney(1234.5)]).toEqual(['EUR 15.10', '-EUR 3.00', 'EUR 1,234.50']);
  globalThis.eddrinLocale = localeOf({ ...STANDARD_SHOP, decimalMark: ',' }, []);
  expect(sayMoney(1234.5)).toBe('EUR 1.234,50');
  of('JPY');
  expect(sayMoney(1510)).toBe('JPY 1,510');
});
