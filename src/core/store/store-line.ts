import type { Fitment } from '../identify/fitment';
import { type Sort, sortedBy } from '../schema/sort';
import { isExpired, type Stocked } from './article';

/** An article as the store shows it. */
export type StoreLine = Stocked & {
  /** Pieces set aside for units that are still in the shop. */
  readonly withUnits: number;
  readonly onOrder: number;
  /** A fitment that it was found by. */
  readonly madeFor: Fitment | null;
  /** Pieces at which more are ordered. */
  readonly orderAt: number;
};

/** What of the store is looked at. */
export const SHOWS = {
  all: 'All',
  kits: 'Kits',
  sundries: 'Sundries',
  low: 'To order',
  expired: 'Past its date',
  faulty: 'Lots with a fault',
} as const;
export type Show = keyof typeof SHOWS;
export const SHOW_NAMES = Object.keys(SHOWS) as readonly Show[];

/** What lines of the store are sorted by. */
const SORTS = {
  number: (l: StoreLine) => l.number,
  name: (l: StoreLine) => l.name,
  price: (l: StoreLine) => l.price,
  stock: (l: StoreLine) => l.stock,
  withUnits: (l: StoreLine) => l.withUnits,
  onOrder: (l: StoreLine) => l.onOrder,
  orderAt: (l: StoreLine) => l.orderAt,
} as const;
export const STORE_SORTS = Object.keys(SORTS) as readonly (keyof typeof SORTS)[];
export const sortedLines = (lines: readonly StoreLine[], sort: Sort | null): readonly StoreLine[] =>
  sortedBy(lines, sort, (l, by) => SORTS[by as keyof typeof SORTS](l));

/** What fitments are sorted by. */
const FITMENT_BY = {
  machine: (f: Fitment) => `${f.maker} ${f.machine}`,
  years: (f: Fitment) => f.yearFrom,
  position: (f: Fitment) => f.position,
  boreMm: (f: Fitment) => f.features.boreMm ?? null,
  strokeMm: (f: Fitment) => f.features.strokeMm ?? null,
  bodyLengthMm: (f: Fitment) => f.features.bodyLengthMm ?? null,
  studPitchMm: (f: Fitment) => f.features.studPitchMm ?? null,
} as const;
export const FITMENT_SORTS = Object.keys(FITMENT_BY) as readonly (keyof typeof FITMENT_BY)[];
export const sortedFitments = (fitments: readonly Fitment[], sort: Sort | null): readonly Fitment[] =>
  sortedBy(fitments, sort, (f, by) => FITMENT_BY[by as keyof typeof FITMENT_BY](f));

/** Lines and fitments on a page of the store. */
export const STORE_PAGE = 50;

export const isLow = (l: StoreLine): boolean => l.supersededBy === null && l.orderAt > 0 && l.stock + l.onOrder <= l.orderAt;

export const isShown = (l: StoreLine, show: Show, now: number): boolean => {
  switch (show) {
    case 'all':
      return true;
    case 'kits':
      return l.type === 'kit';
    case 'sundries':
      return l.type === 'sundry';
    case 'low':
      return isLow(l);
    case 'expired':
      return l.lots.some((lot) => lot.qty > 0 && isExpired(lot, now));
    case 'faulty':
      return l.lots.some((lot) => lot.qty > 0 && lot.fault !== '');
  }
};
