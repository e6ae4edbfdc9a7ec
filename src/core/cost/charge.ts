import { nearest, percentOf } from '../quantity/cents';
import { CHARGES, type Charge, type Price, type PriceOf } from './price';
import { roundingOf, taxOn } from './price-list';

/** A line of a quote or a bill, whole cents without tax. `how` says what it was worked out from. */
export type ChargeLine = {
  readonly charge: Charge;
  readonly words: string;
  readonly how: string;
  readonly cents: number;
  /** Work that it is for; absent where it is none or nobody knows. */
  readonly minutes?: number | undefined;
  /** What the shop itself pays, cents; absent where it is not known. No customer is told. */
  readonly costCents?: number | undefined;
};

/** What lines come to. All in whole cents; the lines, the taxes and the rounding add up to the total. */
export type Charges = {
  readonly lines: readonly ChargeLine[];
  readonly net: number;
  /** Each tax once, on all that it is taken on. */
  readonly taxes: readonly { readonly name: string; readonly pct: number; readonly on: number; readonly cents: number }[];
  readonly rounding: number;
  readonly total: number;
};

const sum = (all: readonly number[]): number => all.reduce((a, b) => a + b, 0);

/** Adds lines up: a tax is worked out on the sum of what it is on, not line by line, so that it can be checked from the paper. */
export const chargesOf = (lines: readonly ChargeLine[], prices: readonly Price[]): Charges => {
  const net = sum(lines.map((l) => l.cents));
  const taxes = taxesOf(prices).flatMap((tax) => {
    const on = lines.filter((l) => isSame(taxOn(prices, l.charge), tax));
    const cents = sum(on.map((l) => l.cents));
    return on.length === 0 ? [] : [{ name: tax.name, pct: tax.pct, on: cents, cents: percentOf(cents, tax.pct) }];
  });
  const exact = net + sum(taxes.map((t) => t.cents));
  const total = nearest(exact, roundingOf(prices));
  return { lines, net, taxes, rounding: total - exact, total };
};

/** The taxes that apply to anything, each once: what has one name and one rate is one tax. */
const taxesOf = (prices: readonly Price[]): readonly PriceOf<'tax'>[] =>
  CHARGES.flatMap((charge) => taxOn(prices, charge) ?? []).filter((tax, i, all) => all.findIndex((t) => isSame(t, tax)) === i);
const isSame = (a: PriceOf<'tax'> | undefined, b: PriceOf<'tax'>): boolean => a?.name === b.name && a.pct === b.pct;
