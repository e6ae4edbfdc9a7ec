import type { BagItem } from './article';
import type { BagFinding } from './bag-finding';

/** Why pieces came or went. */
export const MOVE_REASONS = ['received', 'set-aside', 'counted', 'adjusted', 'kept', 'imported'] as const;

/** Pieces that came (above nought) or went. Times in ms since 1970. */
export type StockMove = {
  readonly id: string;
  readonly at: number;
  readonly qty: number;
  readonly reason: (typeof MOVE_REASONS)[number];
  readonly note: string;
  readonly lot: string;
  readonly tagNo: number | null;
  readonly by: string | null;
};

/** An order that has not come; for a unit, with its wait, where that was why. */
export type OpenOrder = {
  readonly id: string;
  readonly articleId: string;
  readonly qty: number;
  readonly orderedAt: number;
  readonly expectedAt: number;
  readonly unitId: string | null;
  readonly timerId: string | null;
  readonly tagNo: number | null;
};

/** What was found in a bag of a lot, and for which unit it was opened. */
export type LotFinding = {
  readonly lotId: string;
  readonly tagNo: number;
  readonly at: number;
  readonly items: readonly BagItem[];
  readonly findings: readonly BagFinding[];
};
