import type { UnitKind } from '../family/family-name';
import type { Station } from '../station';
import type { Way } from '../way';
import type { Charge, Price, PriceKind, PriceOf } from './price';

const ofKind = <K extends PriceKind>(prices: readonly Price[], ...kinds: readonly K[]): readonly PriceOf<K>[] =>
  prices.filter((p): p is PriceOf<K> => (kinds as readonly PriceKind[]).includes(p.what));

/** Lines that a price list may have. */
export const MOST_PRICES = 5000;

/** Whose price is wanted: a unit that goes a way. */
export type Priced = { readonly family: UnitKind; readonly way: Way };

/** The fixed price of a station's work, or of the whole job, whole cents; the one that names most of the unit goes before others. Undefined: by its time. */
export const fixedPrice = (prices: readonly Price[], { family, way }: Priced, station: Station | null): number | undefined =>
  ofKind(prices, 'work')
    .filter((p) => p.station === station && (p.family ?? family) === family && (p.way ?? way) === way)
    .toSorted((a, b) => named(b) - named(a))[0]?.cents;
/** A family says more than a way. */
const named = (p: PriceOf<'work'>): number => (p.family === null ? 0 : 2) + (p.way === null ? 0 : 1);

/** What sleeving a bore costs outside, the cheapest first; of one supplier the narrowest line that takes it. Empty: nobody's price is known. */
export const sleevePrices = (prices: readonly Price[], family: UnitKind, boreMm: number): readonly PriceOf<'sleeve'>[] => {
  const fits = ofKind(prices, 'sleeve')
    .filter((p) => (p.family ?? family) === family && (p.uptoMm ?? Number.POSITIVE_INFINITY) >= boreMm)
    .toSorted(
      (a, b) =>
        Number(b.family !== null) - Number(a.family !== null) ||
        (a.uptoMm ?? Number.POSITIVE_INFINITY) - (b.uptoMm ?? Number.POSITIVE_INFINITY),
    );
  const bySupplier = new Map(fits.toReversed().map((p) => [p.supplier, p]));
  return [...bySupplier.values()].toSorted((a, b) => a.cents - b.cents || a.days - b.days);
};

/** Bores are of one size within so much, mm. */
const SAME_BORE_MM = 0.2;

/** Units that may be had instead of a customer's, of its fitment or its family and bore: what is on the shelf first, then by price. */
export const unitsInstead = (
  prices: readonly Price[],
  of: { readonly family: UnitKind; readonly boreMm: number | null; readonly fitment: string | null },
): readonly PriceOf<'exchange' | 'new'>[] =>
  ofKind(prices, 'exchange', 'new')
    .filter((p) =>
      p.fitment === null
        ? p.family === of.family && (p.boreMm === null || of.boreMm === null || Math.abs(p.boreMm - of.boreMm) <= SAME_BORE_MM)
        : p.fitment === of.fitment,
    )
    // On the own shelf and none there: it cannot be had.
    .filter((p) => p.supplier !== '' || p.stock > 0)
    .toSorted((a, b) => daysOf(a) - daysOf(b) || a.cents - b.cents);
/** Days until it is there: none where it is on the shelf. */
export const daysOf = (p: PriceOf<'exchange' | 'new'>): number => (p.stock > 0 ? 0 : p.days);

/** The tax on a kind of charge: its own, else the one on all else; none where the list has none. */
export const taxOn = (prices: readonly Price[], charge: Charge): PriceOf<'tax'> | undefined => {
  const taxes = ofKind(prices, 'tax');
  return taxes.find((t) => t.on === charge) ?? taxes.find((t) => t.on === null);
};

/** What has to be paid is rounded to so many cents; to one where the list says nothing. */
export const roundingOf = (prices: readonly Price[]): number => ofKind(prices, 'rounding')[0]?.cents ?? 1;

/** A list with some of its lines written anew, in its order; what is new stands behind. */
export const withPrices = (prices: readonly Price[], changed: readonly Price[], keyOf: (p: Price) => string): readonly Price[] => {
  const anew = new Map(changed.map((p) => [keyOf(p), p]));
  const known = new Set(prices.map(keyOf));
  return [...prices.map((p) => anew.get(keyOf(p)) ?? p), ...changed.filter((p) => !known.has(keyOf(p)))];
};
