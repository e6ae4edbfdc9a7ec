import type { KitItem } from '../store/article';
import { fitOf } from './fit';
import type { Need, Policy } from './need';

export type Assigned = { readonly need: number; readonly item: number; readonly qty: number; readonly verified: boolean };

const ORDER: readonly Policy[] = ['replace', 'prefer', 'reuse-ok'];

/**
 * Assigns pieces to needs so that, in this order, most pieces of `replace`, `prefer` and `reuse-ok` needs are covered, then most of each by verified fits.
 * @returns by need, then by item
 * @source design, chapter 5; successive best augmenting paths (Bellman-Ford) with the six counts packed into one exact integer weight
 */
export const assignItems = (needs: readonly Need[], items: readonly KitItem[]): readonly Assigned[] => {
  const base = BigInt(needs.reduce((sum, n) => sum + n.qty, 0) + 1);
  const weight = (level: number): bigint => base ** BigInt(5 - level);
  const arcs: Arc[] = needs.flatMap((need, n) =>
    items.flatMap((item, i) => {
      const fit = fitOf(need, item);
      if (fit === undefined || fit.kind === 'misfit') return [];
      const level = ORDER.indexOf(need.policy);
      const verified = fit.kind === 'verified';
      return [{ need: n, item: i, verified, gain: weight(level) + (verified ? weight(level + 3) : 0n), qty: 0 }];
    }),
  );
  const needLeft = needs.map((n) => n.qty);
  const itemLeft = items.map((i) => i.qty);
  for (let path = bestPath(arcs, needLeft, itemLeft); path !== undefined; path = bestPath(arcs, needLeft, itemLeft)) {
    const qty = Math.min(
      needLeft[path.from] as number,
      itemLeft[path.to] as number,
      ...path.steps.map((s) => (s.back ? s.arc.qty : Infinity)),
    );
    for (const step of path.steps) step.arc.qty += step.back ? -qty : qty;
    needLeft[path.from] = (needLeft[path.from] as number) - qty;
    itemLeft[path.to] = (itemLeft[path.to] as number) - qty;
  }
  return arcs.filter((a) => a.qty > 0).map(({ need, item, qty, verified }) => ({ need, item, qty, verified }));
};

type Arc = { readonly need: number; readonly item: number; readonly verified: boolean; readonly gain: bigint; qty: number };
type Step = { readonly arc: Arc; readonly back: boolean };

/** The path of most gain from a need with pieces left to ask for to an item with pieces left to give; undefined when none gains. */
const bestPath = (arcs: readonly Arc[], needLeft: readonly number[], itemLeft: readonly number[]) => {
  const atNeed = new Map<number, { readonly gain: bigint; readonly from: number; readonly steps: readonly Step[] }>();
  const atItem = new Map<number, { readonly gain: bigint; readonly from: number; readonly steps: readonly Step[] }>();
  for (const [n, left] of needLeft.entries()) if (left > 0) atNeed.set(n, { gain: 0n, from: n, steps: [] });
  for (let moved = true; moved; ) {
    moved = false;
    for (const arc of arcs) {
      const there = atNeed.get(arc.need);
      const known = atItem.get(arc.item);
      if (there !== undefined && (known === undefined || there.gain + arc.gain > known.gain)) {
        atItem.set(arc.item, { gain: there.gain + arc.gain, from: there.from, steps: [...there.steps, { arc, back: false }] });
        moved = true;
      }
      const reached = atItem.get(arc.item);
      const other = atNeed.get(arc.need);
      if (arc.qty > 0 && reached !== undefined && (other === undefined || reached.gain - arc.gain > other.gain)) {
        atNeed.set(arc.need, { gain: reached.gain - arc.gain, from: reached.from, steps: [...reached.steps, { arc, back: true }] });
        moved = true;
      }
    }
  }
  let best: { readonly gain: bigint; readonly from: number; readonly to: number; readonly steps: readonly Step[] } | undefined;
  for (const [i, left] of itemLeft.entries()) {
    const reached = atItem.get(i);
    if (left > 0 && reached !== undefined && reached.gain > 0n && (best === undefined || reached.gain > best.gain))
      best = { ...reached, to: i };
  }
  return best;
};
