import { above, atMost, NOISE } from '../statistics/compare';
import { assignItems } from './assign';
import { fitOf } from './fit';
import type { Kit, KitItem, Need, Sundry } from './need';

export type BestSet = {
  readonly picks: readonly { readonly type: 'kit' | 'sundry'; readonly id: string; readonly qty: number }[];
  readonly price: number;
  /** Longest wait among the picks beyond stock; 0 when all are there. */
  readonly leadDays: number;
  readonly uncovered: readonly { readonly needId: string; readonly qty: number }[];
};

export type Store = {
  readonly kits: readonly Kit[];
  readonly sundries: readonly Sundry[];
  readonly promiseDays?: number | null | undefined;
  readonly allowUnverified: boolean;
};

/** Something that can be bought: `most` copies at all, `inStock` of them without waiting. */
type Option = {
  readonly type: 'kit' | 'sundry';
  readonly id: string;
  readonly price: number;
  readonly inStock: number;
  readonly most: number;
  readonly leadDays: number;
  readonly items: readonly KitItem[];
};
/** A piece of an option that fits a need. */
type Supply = { readonly option: number; readonly item: number };
type Cost = { readonly price: number; readonly leadDays: number; readonly pieces: number };

/**
 * The least dear set of kits and sundries that covers every piece that must be replaced; exact.
 * Least uncovered first, then least price, then the shorter wait, then fewer pieces.
 * @source design, chapter 5; branch and bound over the needed pieces, scarcest first, bounded by a dual solution of the covering problem
 */
export const bestSet = (allNeeds: readonly Need[], store: Store): BestSet => {
  const needs = allNeeds.filter((n) => n.policy === 'replace');
  const options = optionsOf(store)
    .map((o) => ({ ...o, items: o.items.filter((item) => needs.some((n) => usable(n, item, store.allowUnverified))) }))
    .filter((o) => o.most > 0 && o.items.length > 0);
  const suppliers: readonly (readonly Supply[])[] = needs.map((need) =>
    options.flatMap((o, option) => o.items.flatMap((item, i) => (usable(need, item, store.allowUnverified) ? [{ option, item: i }] : []))),
  );
  const search = new Search(needs, options, suppliers, leastUncovered(needs, options));
  search.from(0, 0);
  const best = search.best;
  return {
    picks: options.flatMap(({ type, id }, o) => ((best.counts[o] ?? 0) > 0 ? [{ type, id, qty: best.counts[o] as number }] : [])),
    price: best.price,
    leadDays: best.leadDays,
    uncovered: needs.flatMap((n, i) => ((best.uncovered[i] ?? 0) > 0 ? [{ needId: n.id, qty: best.uncovered[i] as number }] : [])),
  };
};

const usable = (need: Need, item: KitItem, allowUnverified: boolean): boolean => {
  const fit = fitOf(need, item);
  return fit?.kind === 'verified' || (fit?.kind === 'unverified' && allowUnverified);
};

const optionsOf = (store: Store): readonly Option[] => {
  const asOption = (type: Option['type'], s: Kit | Sundry, items: readonly KitItem[]): Option => {
    const inStock = s.stock ?? 0;
    const orderable = s.leadDays != null && (store.promiseDays == null || atMost(s.leadDays, store.promiseDays));
    return { type, id: s.id, price: s.price, inStock, most: orderable ? Infinity : inStock, leadDays: s.leadDays ?? 0, items };
  };
  return [
    ...store.kits.map((k) => asOption('kit', k, k.items)),
    ...store.sundries.map((s) => asOption('sundry', s, [{ kind: s.kind, qty: 1, dims: s.dims }])),
  ];
};

/** Pieces that even everything in the store together cannot cover. */
const leastUncovered = (needs: readonly Need[], options: readonly Option[]): number => {
  const wanted = needs.reduce((sum, n) => sum + n.qty, 0);
  // Options hold usable pieces only, so a fit that is not verified here is allowed.
  const everything = options.flatMap((o) => o.items.map((item) => ({ ...item, qty: item.qty * Math.min(o.most, wanted) })));
  return wanted - assignItems(needs, everything).reduce((sum, a) => sum + a.qty, 0);
};

class Search {
  best: Cost & { readonly counts: readonly number[]; readonly uncovered: readonly number[] } = {
    price: Infinity,
    leadDays: Infinity,
    pieces: Infinity,
    counts: [],
    uncovered: [],
  };
  /** One entry per needed piece: the index of its need, scarcest need first, pieces of one need together. */
  private readonly wanted: readonly number[];
  /** What a piece of each need costs at least, whatever is bought. */
  private readonly worth: readonly number[];
  private readonly spare: number[][];
  private readonly counts: number[];
  private readonly uncovered: number[];

  constructor(
    needs: readonly Need[],
    private readonly options: readonly Option[],
    private readonly suppliers: readonly (readonly Supply[])[],
    private mayLeave: number,
  ) {
    const scarcest = needs
      .map((_, n) => n)
      .sort((a, b) => (suppliers[a] as readonly Supply[]).length - (suppliers[b] as readonly Supply[]).length);
    this.wanted = scarcest.flatMap((n) => Array.from({ length: (needs[n] as Need).qty }, () => n));
    const pieces = options.map((o) =>
      Math.min(
        this.wanted.length,
        o.items.reduce((sum, item) => sum + item.qty, 0),
      ),
    );
    const share = (s: Supply): number => (options[s.option] as Option).price / (pieces[s.option] as number);
    this.worth = leastWorth(needs, options, suppliers, scarcest);
    this.suppliers = suppliers.map((list) => [...list].sort((a, b) => share(a) - share(b) || a.option - b.option));
    this.spare = options.map((o) => o.items.map(() => 0));
    this.counts = options.map(() => 0);
    this.uncovered = needs.map(() => 0);
  }

  /** Covers the needed pieces from `at` on; `rank` is the first supplier to try, so that like pieces are bought in one order only. */
  from(at: number, rank: number): void {
    const so = this.cost();
    if (!this.promising(so, at)) return;
    const need = this.wanted[at];
    if (need === undefined) {
      this.best = { ...so, counts: [...this.counts], uncovered: [...this.uncovered] };
      return;
    }
    const nextRank = (r: number): number => (this.wanted[at + 1] === need ? r : 0);
    const list = this.suppliers[need] as readonly Supply[];
    const spares = list.filter((s) => this.spareOf(s) > 0);
    const alone = spares.find((s) => !this.wantedLater(s, at, need));
    for (const s of alone === undefined ? spares : [alone]) {
      this.take(s, -1);
      this.from(at + 1, nextRank(rank));
      this.take(s, 1);
    }
    if (alone !== undefined) return;
    for (let r = rank; r < list.length; r++) {
      const s = list[r] as Supply;
      if ((this.counts[s.option] as number) < (this.options[s.option] as Option).most) {
        this.buy(s.option, 1);
        this.take(s, -1);
        this.from(at + 1, nextRank(r));
        this.take(s, 1);
        this.buy(s.option, -1);
      }
    }
    if (this.mayLeave > 0) {
      this.mayLeave -= 1;
      this.uncovered[need] = (this.uncovered[need] as number) + 1;
      this.from(at + 1, nextRank(rank));
      this.uncovered[need] = (this.uncovered[need] as number) - 1;
      this.mayLeave += 1;
    }
  }

  private cost(): Cost {
    let [price, leadDays, pieces] = [0, 0, 0];
    for (const [o, count] of this.counts.entries()) {
      if (count === 0) continue;
      const option = this.options[o] as Option;
      price += count * option.price;
      pieces += count;
      if (count > option.inStock) leadDays = Math.max(leadDays, option.leadDays);
    }
    return { price, leadDays, pieces };
  }

  /** Can what is bought so far still end better than the best known? */
  private promising(so: Cost, at: number): boolean {
    const spare = this.suppliers.map((list) => list.reduce((sum, s) => sum + this.spareOf(s), 0));
    const toBuy: number[] = [];
    for (const n of this.wanted.slice(at)) {
      if ((spare[n] as number) > 0) spare[n] = (spare[n] as number) - 1;
      else toBuy.push(this.worth[n] as number);
    }
    const left = toBuy.sort((a, b) => b - a).slice(this.mayLeave);
    const atLeast = so.price + left.reduce((a, b) => a + b, 0);
    if (above(atLeast, this.best.price)) return false;
    if (atLeast < this.best.price - NOISE) return true;
    return so.leadDays < this.best.leadDays || (so.leadDays === this.best.leadDays && so.pieces < this.best.pieces);
  }

  private wantedLater(s: Supply, at: number, need: number): boolean {
    return this.wanted
      .slice(at + 1)
      .some((n) => n !== need && (this.suppliers[n] as readonly Supply[]).some((t) => t.option === s.option && t.item === s.item));
  }

  private spareOf(s: Supply): number {
    return this.spare[s.option]?.[s.item] ?? 0;
  }

  private take(s: Supply, by: number): void {
    const items = this.spare[s.option] as number[];
    items[s.item] = (items[s.item] as number) + by;
  }

  private buy(option: number, copies: number): void {
    this.counts[option] = (this.counts[option] as number) + copies;
    for (const [i, item] of (this.options[option] as Option).items.entries()) this.take({ option, item: i }, copies * item.qty);
  }
}

/**
 * A price for a piece of each need such that no option gives more than it costs: a solution of the dual of the covering problem,
 * so that the prices of what is still needed can be paid by no cheaper buying. Raised need by need, the scarcest first.
 */
const leastWorth = (
  needs: readonly Need[],
  options: readonly Option[],
  suppliers: readonly (readonly Supply[])[],
  order: readonly number[],
): readonly number[] => {
  const slack = options.map((o) => o.price);
  const worth = needs.map(() => 0);
  for (const n of order) {
    const given = new Map<number, number>();
    for (const s of suppliers[n] as readonly Supply[])
      given.set(s.option, (given.get(s.option) ?? 0) + ((options[s.option] as Option).items[s.item]?.qty ?? 0));
    const most = (pieces: number): number => Math.min(pieces, (needs[n] as Need).qty);
    const raise = Math.min(...[...given].map(([o, pieces]) => (slack[o] as number) / most(pieces)));
    if (!Number.isFinite(raise)) continue;
    worth[n] = raise;
    for (const [o, pieces] of given) slack[o] = (slack[o] as number) - raise * most(pieces);
  }
  return worth;
};
