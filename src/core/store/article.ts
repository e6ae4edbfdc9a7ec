import type { Dims } from '../family/dims';

/** A piece in a kit's bag. */
export type KitItem = { readonly kind: string; readonly qty: number; readonly dims: Dims };
export type BagItem = KitItem & { readonly name: string };

/** What the store keeps and sells: a kit with what its bag holds, or a sundry, which holds itself. Price in the shop's money. */
export type Article = {
  readonly id: string;
  readonly number: string;
  readonly type: 'kit' | 'sundry';
  readonly name: string;
  readonly price: number;
  /** Null: not to be had. */
  readonly leadDays: number | null;
  readonly note: string;
  /** Number of the article that took its place; null while it is current. */
  readonly supersededBy: string | null;
  /** Pieces at which to order more, where the shop has set it; null: worked out from use. */
  readonly reorderAt: number | null;
  readonly items: readonly BagItem[];
};

/** Pieces that came together. Times in ms since 1970. */
export type Lot = {
  readonly id: string;
  readonly articleId: string;
  readonly code: string;
  readonly receivedAt: number;
  /** The day after which its rubber is not fitted any more; null where nothing in it ages. */
  readonly expiresAt: number | null;
  /** What is known to be wrong with it. */
  readonly fault: string;
  readonly qty: number;
};

/** An article with what is on the shelf of it; `stock` counts only what may still be fitted. */
export type Stocked = Article & { readonly stock: number; readonly lots: readonly Lot[] };

export const isExpired = (lot: Pick<Lot, 'expiresAt'>, now: number): boolean => lot.expiresAt !== null && lot.expiresAt < now;

export const stocked = (article: Article, lots: readonly Lot[], now: number): Stocked => ({
  ...article,
  lots,
  stock: lots.reduce((sum, l) => sum + (isExpired(l, now) ? 0 : l.qty), 0),
});

/**
 * Lots to take so many pieces from: the one that passes its date first, then the oldest; never one that has passed it.
 * @returns undefined when there are not so many
 */
export const lotsFor = (
  lots: readonly Lot[],
  qty: number,
  now: number,
): readonly { readonly lot: Lot; readonly qty: number }[] | undefined => {
  const order = lots
    .filter((l) => l.qty > 0 && !isExpired(l, now))
    .sort((a, b) => (a.expiresAt ?? Infinity) - (b.expiresAt ?? Infinity) || a.receivedAt - b.receivedAt);
  const taken: { readonly lot: Lot; readonly qty: number }[] = [];
  let left = qty;
  for (const lot of order) {
    if (left === 0) break;
    const some = Math.min(left, lot.qty);
    taken.push({ lot, qty: some });
    left -= some;
  }
  return left === 0 ? taken : undefined;
};

const DAY_MS = 86_400_000;
/** Days of use that a reorder point looks back on, and days that an order takes to be noticed and sent. */
const LOOK_BACK_DAYS = 180;
const NOTICE_DAYS = 7;

/**
 * Pieces on the shelf at which to order: what is used while an order is on its way, and a margin of its square root, as for counts that come at random.
 * @param used times at which a piece went to a unit
 * @returns whole pieces; 0 for what was not used
 */
export const reorderPoint = (article: Pick<Article, 'reorderAt' | 'leadDays'>, used: readonly number[], now: number): number => {
  if (article.reorderAt !== null) return article.reorderAt;
  const lately = used.filter((at) => at > now - LOOK_BACK_DAYS * DAY_MS).length;
  const meanwhile = (lately * ((article.leadDays ?? 30) + NOTICE_DAYS)) / LOOK_BACK_DAYS;
  return Math.max(0, Math.ceil(meanwhile + Math.sqrt(meanwhile) - 1e-9));
};
