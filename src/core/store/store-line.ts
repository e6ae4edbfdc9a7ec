import type { Fitment } from '../identify/fitment';
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
