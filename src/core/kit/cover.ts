import { above, atMost } from '../statistics/compare';
import type { KitItem } from '../store/article';
import { fitOf } from './fit';
import type { Kit, Need, Store, Sundry } from './need';

/** Something that can be bought: `most` copies at all, `inStock` of them without waiting. */
export type Option = {
  readonly type: 'kit' | 'sundry';
  readonly id: string;
  readonly price: number;
  readonly inStock: number;
  readonly most: number;
  readonly leadDays: number;
  readonly gives: readonly Giving[];
};
/** Pieces of one copy that can serve the same needs, by the needs' places; no more than these ask for. */
export type Giving = { readonly serves: readonly number[]; readonly qty: number };

/** The needs, and what of the store may be bought for them. */
export type Cover = { readonly needs: readonly Need[]; readonly options: readonly Option[] };

/** What of the store can be of use to the needs at all, whatever it takes to get it. */
export const coverOf = (needs: readonly Need[], store: Store): Cover => {
  const byKind = new Map<string, readonly number[]>();
  for (const [n, { kind }] of needs.entries()) byKind.set(kind, [...(byKind.get(kind) ?? []), n]);
  const givings = (items: readonly KitItem[]): readonly Giving[] => {
    const groups = new Map<string, { readonly serves: readonly number[]; qty: number }>();
    for (const item of items) {
      const serves = (byKind.get(item.kind) ?? []).filter((n) => usable(needs[n] as Need, item, store.allowUnverified));
      if (serves.length === 0) continue;
      const group = groups.get(serves.join()) ?? { serves, qty: 0 };
      group.qty = Math.min(group.qty + item.qty, piecesOf(needs, serves));
      groups.set(serves.join(), group);
    }
    return [...groups.values()];
  };
  const asOption = (type: Option['type'], s: Kit | Sundry, items: readonly KitItem[]): readonly Option[] => {
    const gives = givings(items);
    const inStock = s.stock ?? 0;
    const orderable = s.leadDays != null && (store.promiseDays == null || atMost(s.leadDays, store.promiseDays));
    // No more copies than pieces that it can serve: one that serves nothing is in no best set.
    const useful = servable(needs, gives);
    const most = orderable ? useful : Math.min(inStock, useful);
    return gives.length === 0 || most === 0 ? [] : [{ type, id: s.id, price: s.price, inStock, most, leadDays: s.leadDays ?? 0, gives }];
  };
  return {
    needs,
    options: [
      ...store.kits.flatMap((k) => asOption('kit', k, k.items)),
      ...store.sundries.flatMap((s) => asOption('sundry', s, [{ kind: s.kind, qty: 1, dims: s.dims }])),
    ],
  };
};

const usable = (need: Need, item: KitItem, allowUnverified: boolean): boolean => {
  const fit = fitOf(need, item);
  return fit?.kind === 'verified' || (fit?.kind === 'unverified' && allowUnverified);
};

const piecesOf = (needs: readonly Need[], which: readonly number[]): number => which.reduce((sum, n) => sum + (needs[n] as Need).qty, 0);

/**
 * Without options that are never needed: those dearer than others that give as much, or no sooner for the same price, of which there are copies enough; and kits dearer than their pieces bought singly.
 * A copy that serves nothing is in no best set, so no more of a single piece are bought than its needs want, and no more of all than all want.
 */
export const undominated = ({ needs, options }: Cover): Cover => {
  const wanted = needs.reduce((sum, n) => sum + n.qty, 0);
  const cheapestFirst = options
    .map((option, at) => ({ option, at, gives: new Map(option.gives.map((g) => [g.serves.join(), g.qty])) }))
    .sort((a, b) => a.option.price - b.option.price || waitOf(a.option) - waitOf(b.option) || b.gives.size - a.gives.size || a.at - b.at);
  const kept: typeof cheapestFirst = [];
  /** What a piece costs alone, by the needs it serves, where as many as are wanted can be had. */
  const alone = new Map<string, number>();
  for (const one of cheapestFirst) {
    const singly = [...one.gives].reduce((sum, [uses, qty]) => sum + qty * (alone.get(uses) ?? Infinity), 0);
    if (above(one.option.price, singly)) continue;
    const [only, more] = one.option.gives as readonly [Giving, ...Giving[]];
    const single = more === undefined && only.qty === 1;
    const enough = single ? piecesOf(needs, only.serves) : wanted;
    let copies = 0;
    for (const k of kept) {
      const alike = !single || k.option.gives.length === 1;
      const as = copiesFor(needs, k.option, one.option);
      if ((alike || as === Infinity) && [...one.gives].every(([uses, qty]) => (k.gives.get(uses) ?? 0) >= qty)) copies += as;
      if (copies >= enough) break;
    }
    if (copies >= enough) continue;
    kept.push(one);
    const uses = only.serves.join();
    if (single && one.option.most >= enough && !alone.has(uses)) alone.set(uses, one.option.price);
  }
  return { needs, options: kept.sort((a, b) => a.at - b.at).map((k) => k.option) };
};

/** The wait for the first copy. */
const waitOf = (o: Option): number => (o.inStock > 0 ? 0 : o.leadDays);

/** Copies of one option that are as good as another: those of them that cost less or are there as soon. As many as can be of use are without end. */
const copiesFor = (needs: readonly Need[], cheaper: Option, other: Option): number => {
  const copies = cheaper.price < other.price || cheaper.leadDays <= waitOf(other) ? cheaper.most : Math.min(cheaper.inStock, cheaper.most);
  return copies >= servable(needs, cheaper.gives) ? Infinity : copies;
};

const servable = (needs: readonly Need[], gives: readonly Giving[]): number =>
  piecesOf(needs, [...new Set(gives.flatMap((g) => g.serves))]);
