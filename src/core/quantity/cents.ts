import { locale } from '../locale';

/** Money is counted in whole cents: the smallest coin of the shop's currency, a hundredth where none is set; a yen is one. */
const digits = (): number => {
  const { currency } = locale();
  return currency === null
    ? 2
    : (new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2);
};

/** To whole cents, a half away from zero. What a binary fraction falls short of (28.499999999999996 for 28.5) is taken as it was written. */
const whole = (exact: number): number => Math.sign(exact) * Math.round(Number(Math.abs(exact).toPrecision(15))) || 0;

/** An amount of the shop's money in its cents. */
export const centsOf = (amount: number): number => whole(amount * 10 ** digits());

/** The amount that so many cents are. */
export const amountOf = (cents: number): number => cents / 10 ** digits();

/** A share of cents, such as a tax or a mark-up, in whole cents. */
export const percentOf = (cents: number, pct: number): number => whole((cents * pct) / 100);

/** Cents to the nearest of some step, such as 5; a half away from zero. */
export const nearest = (cents: number, step: number): number => step * whole(cents / step);
