import { atMost } from '../statistics/compare';
import { type Cover, coverOf, undominated } from './cover';
import { mostGiven } from './most-given';
import type { Need, Store } from './need';
import { leastCover, type Solved, solver, waitsOf } from './solve-cover';

export type BestSet = {
  readonly picks: readonly { readonly type: 'kit' | 'sundry'; readonly id: string; readonly qty: number }[];
  readonly price: number;
  /** Longest wait among the picks beyond stock; 0 when all are there. */
  readonly leadDays: number;
  readonly uncovered: readonly { readonly needId: string; readonly qty: number }[];
};

/**
 * The least dear set of kits and sundries that covers every piece that must be replaced; exact.
 * Least uncovered first, then least price, then the shorter wait, then fewer pieces.
 * @source design, chapter 5; an integer programme, solved by HiGHS on what dominance leaves of the store
 */
export async function bestSet(allNeeds: readonly Need[], store: Store): Promise<BestSet> {
  const needs = allNeeds.filter((n) => n.policy === 'replace');
  const whole = coverOf(needs, store);
  const wanted = needs.reduce((sum, n) => sum + n.qty, 0);
  const open = leastUncovered(whole);
  if (open === wanted) return setOf(whole, { counts: [], open: needs.map((n) => n.qty) });
  const highs = await solver();
  const cover = undominated(whole);
  // A longer wait by one step weighs more than all copies, and the least money more than all waits.
  const wait = wanted + 1;
  const money = wait * (waitsOf(cover).length + 1);
  if (inCents(cover, money)) return setOf(cover, leastCover(highs, cover, open, { price: 100 * money, wait, copy: 1 }));
  const { price } = setOf(cover, leastCover(highs, cover, open, { price: 1, wait: 0, copy: 0 }));
  return setOf(cover, leastCover(highs, cover, open, { price: 0, wait, copy: 1 }, price + PRICE_NOISE));
}

/** Money that two sums of the same prices may differ by in computing. */
const PRICE_NOISE = 1e-7;
/** Weights past which the solver's own tolerance could hide a copy. */
const MOST_WEIGHT = 1e7;

/** Every price is whole in cents, and its weight one that the solver resolves. */
const inCents = ({ options }: Cover, money: number): boolean =>
  options.every((o) => Math.abs(Math.round(o.price * 100) - o.price * 100) < 1e-9 && o.price * 100 * money < MOST_WEIGHT);

const setOf = ({ needs, options }: Cover, { counts, open }: Solved): BestSet => {
  const bought = options.flatMap((option, o) => ((counts[o] ?? 0) > 0 ? [{ option, qty: counts[o] as number }] : []));
  return {
    picks: bought.map(({ option: { type, id }, qty }) => ({ type, id, qty })),
    price: bought.reduce((sum, { option, qty }) => sum + option.price * qty, 0),
    leadDays: Math.max(0, ...bought.map(({ option, qty }) => (atMost(qty, option.inStock) ? 0 : option.leadDays))),
    uncovered: needs.flatMap((n, i) => ((open[i] ?? 0) > 0 ? [{ needId: n.id, qty: open[i] as number }] : [])),
  };
};

/** Pieces that even everything in the store together cannot cover. */
const leastUncovered = ({ needs, options }: Cover): number => {
  const wanted = needs.reduce((sum, n) => sum + n.qty, 0);
  const pieces = new Map<string, { readonly serves: readonly number[]; qty: number }>();
  for (const o of options)
    for (const { serves, qty } of o.gives) {
      const all = pieces.get(serves.join()) ?? { serves, qty: 0 };
      all.qty = Math.min(wanted, all.qty + qty * Math.min(o.most, wanted));
      pieces.set(serves.join(), all);
    }
  return (
    wanted -
    mostGiven(
      needs.map((n) => n.qty),
      [...pieces.values()],
    )
  );
};
