import type { UnitKind } from '../family/family-name';
import { fixed } from '../quantity/figure';
import { STATION_WORDS, type Station } from '../station';
import { WAY_WORDS, type Way } from '../way';

/** What the price list has lines for. */
export const PRICE_WORDS = {
  work: 'work at a fixed price',
  sleeve: 'sleeving outside',
  exchange: 'exchange unit',
  new: 'new unit',
  tax: 'tax',
  rounding: 'rounding',
} as const;
export type PriceKind = keyof typeof PRICE_WORDS;
export const PRICE_KINDS = Object.keys(PRICE_WORDS) as [PriceKind, ...PriceKind[]];

/** What a bill's lines are of; taxes are by these. */
export const CHARGE_WORDS = { work: 'work', parts: 'parts', outside: 'outside work', units: 'units sold' } as const;
export type Charge = keyof typeof CHARGE_WORDS;
export const CHARGES = Object.keys(CHARGE_WORDS) as [Charge, ...Charge[]];

/** A line of the price list. Money in whole cents without tax; null of a family, way, station or bore: of any. */
export type Price =
  /** A station's work at a fixed price; the whole job's where no station is named. What has none costs its time at the shop's rate. */
  | {
      readonly what: 'work';
      readonly family: UnitKind | null;
      readonly way: Way | null;
      readonly station: Station | null;
      readonly cents: number;
    }
  /** What a supplier takes for a sleeve up to a bore, and how long it is away, days. */
  | {
      readonly what: 'sleeve';
      readonly family: UnitKind | null;
      readonly uptoMm: number | null;
      readonly supplier: string;
      readonly days: number;
      readonly cents: number;
    }
  /** A unit instead of the customer's: from the own shelf (no supplier), or a supplier's in so many days; for one fitment or all of its bore. */
  | {
      readonly what: 'exchange' | 'new';
      readonly number: string;
      readonly family: UnitKind;
      readonly boreMm: number | null;
      readonly fitment: string | null;
      readonly supplier: string;
      readonly stock: number;
      readonly days: number;
      readonly cents: number;
    }
  /** Of what it is taken on; of all that has no tax of its own where nothing is named. */
  | { readonly what: 'tax'; readonly name: string; readonly on: Charge | null; readonly pct: number }
  /** What has to be paid is rounded to so many cents. */
  | { readonly what: 'rounding'; readonly cents: number };
export type PriceOf<K extends PriceKind> = Extract<Price, { readonly what: K }>;

/** All prices of a shop, as a version of them. */
export type PriceList = { readonly version: number; readonly at: number; readonly prices: readonly Price[] };

/** By what a line of the list is known: a file that has it again changes it. */
export const priceKey = (p: Price): string => {
  switch (p.what) {
    case 'work':
      return `work ${p.family ?? 'any'} ${p.way ?? 'any'} ${p.station ?? 'all'}`;
    case 'sleeve':
      return `sleeve ${p.family ?? 'any'} ${p.uptoMm ?? 'any'} ${p.supplier}`;
    case 'exchange':
    case 'new':
      return `${p.what} ${p.number} ${p.supplier}`;
    case 'tax':
      return `tax ${p.on ?? 'all'}`;
    case 'rounding':
      return 'rounding';
  }
};

/** A line in words, without its price. @param labelOf a family */
export const sayPrice = (p: Price, labelOf: (family: UnitKind) => string): string => {
  const family = (name: UnitKind | null): string => (name === null ? 'any family' : labelOf(name));
  switch (p.what) {
    case 'work':
      return [
        p.station === null ? 'the whole job' : STATION_WORDS[p.station],
        family(p.family),
        ...(p.way === null ? [] : [WAY_WORDS[p.way]]),
      ].join(', ');
    case 'sleeve':
      return `${family(p.family)}${p.uptoMm === null ? '' : `, bore up to ${fixed(p.uptoMm, 2)} mm`}, ${p.supplier}`;
    case 'exchange':
    case 'new':
      return `${p.number}, ${labelOf(p.family)}${p.boreMm === null ? '' : ` ⌀ ${fixed(p.boreMm, 2)} mm`}${p.fitment === null ? '' : `, ${p.fitment}`}, ${p.supplier === '' ? 'own shelf' : p.supplier}`;
    case 'tax':
      return `${p.name} on ${p.on === null ? 'all else' : CHARGE_WORDS[p.on]}`;
    case 'rounding':
      return 'what has to be paid';
  }
};
