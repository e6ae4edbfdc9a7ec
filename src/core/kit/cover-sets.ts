import { above } from '../statistics/compare';
import { type BestSet, bestSet } from './best-set';
import { matchKit } from './match-kit';
import type { Need, Store } from './need';

/** One answer to "what do we take": a set, or the single kit that leaves least open. */
export type CoverSets = {
  /** Least price of what can be there by the promise. */
  readonly best: BestSet;
  /** Least price, whenever it comes. */
  readonly cheapest: BestSet;
  /** There first, whatever it costs; among equals the least price. */
  readonly soonest: BestSet;
  /** One kit alone; null when none covers anything. */
  readonly single: BestSet | null;
};

const openPieces = (set: BestSet): number => set.uncovered.reduce((sum, u) => sum + u.qty, 0);

/** Ways to cover a unit's needs, side by side. @param store with `promiseDays` until the parts must be there */
export async function coverSets(needs: readonly Need[], store: Store): Promise<CoverSets> {
  const best = await bestSet(needs, store);
  const cheapest = await bestSet(needs, { ...store, promiseDays: null });
  return { best, cheapest, soonest: await soonestOf(needs, store, cheapest), single: singleOf(needs, store) };
}

/** Shorter waits are tried, the shortest first, until one leaves no more open than the whole store does. */
const soonestOf = async (needs: readonly Need[], store: Store, cheapest: BestSet): Promise<BestSet> => {
  const waits = [...store.kits, ...store.sundries].flatMap((s) => (s.leadDays == null ? [] : [s.leadDays]));
  for (const promiseDays of [...new Set([0, ...waits])].sort((a, b) => a - b)) {
    if (promiseDays >= cheapest.leadDays) return cheapest;
    const set = await bestSet(needs, { ...store, promiseDays });
    if (!above(openPieces(set), openPieces(cheapest))) return set;
  }
  return cheapest;
};

/** The kit that leaves least open by itself, then the cheapest, of those that can be there in time. */
const singleOf = (needs: readonly Need[], { kits, promiseDays, allowUnverified }: Store): BestSet | null => {
  const wanted = needs.filter((n) => n.policy === 'replace');
  const alone = kits.flatMap((kit): readonly BestSet[] => {
    const there = (kit.stock ?? 0) > 0;
    if (!there && (kit.leadDays == null || above(kit.leadDays, promiseDays ?? Infinity))) return [];
    const { covered } = matchKit(wanted, kit, allowUnverified);
    const counted = covered.filter((c) => c.verified || allowUnverified);
    if (counted.length === 0) return [];
    const uncovered = wanted.flatMap((n) => {
      const qty = n.qty - counted.reduce((sum, c) => sum + (c.needId === n.id ? c.qty : 0), 0);
      return qty > 0 ? [{ needId: n.id, qty }] : [];
    });
    return [{ picks: [{ type: 'kit', id: kit.id, qty: 1 }], price: kit.price, leadDays: there ? 0 : (kit.leadDays ?? 0), uncovered }];
  });
  return alone.sort((a, b) => openPieces(a) - openPieces(b) || a.price - b.price)[0] ?? null;
};
