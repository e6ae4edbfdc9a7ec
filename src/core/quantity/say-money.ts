import { LANGUAGE, locale } from '../locale';
import { fixed } from './figure';

// Made once: making a formatter costs a hundred times what using it does, and the store says many prices.
const formatters = new Map<string, Intl.NumberFormat>();
const formatOf = (currency: string): Intl.NumberFormat => {
  const made = formatters.get(currency) ?? new Intl.NumberFormat(LANGUAGE, { style: 'currency', currency, currencyDisplay: 'code' });
  formatters.set(currency, made);
  return made;
};

/** An amount in the shop's money: `EUR 15.10`, `JPY 1,510`, `EUR 1.234,50` with decimal commas; without its currency where none is set. */
export const sayMoney = (amount: number): string => {
  const { currency, decimalMark } = locale();
  if (currency === null) return fixed(amount, 2);
  const marks: Readonly<Record<string, string>> = { decimal: decimalMark, group: decimalMark === ',' ? '.' : ',', literal: ' ' };
  return formatOf(currency)
    .formatToParts(amount)
    .map(({ type, value }) => marks[type] ?? value)
    .join('');
};
