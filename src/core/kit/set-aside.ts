import type { BagItem } from '../store/article';
import type { BagFinding, Taken } from '../store/bag-finding';

/** A bag set aside for a unit: what the catalogue says is in it, and what was found once it was opened. */
export type SetAside = {
  /** That of its stock move. */
  readonly id: string;
  readonly articleId: string;
  readonly lotId: string;
  readonly number: string;
  readonly name: string;
  readonly lotCode: string;
  readonly expiresAt: number | null;
  readonly qty: number;
  readonly items: readonly BagItem[];
  readonly at: number;
  readonly openedAt: number | null;
  readonly openedBy: string | null;
  readonly findings: readonly BagFinding[];
  /** Pieces that were kept as sundries, by the item's place. */
  readonly kept: readonly Taken[];
  /** Pieces that were spoilt on their way in. */
  readonly spoilt: readonly Taken[];
};
