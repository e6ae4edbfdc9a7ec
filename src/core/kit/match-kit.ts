import { assignItems } from './assign';
import { type DimMisfit, fitOf } from './fit';
import type { Kit, Need } from './need';

export type KitMatch = {
  readonly id: string;
  readonly covered: readonly { readonly needId: string; readonly itemIndex: number; readonly qty: number; readonly verified: boolean }[];
  readonly missing: readonly { readonly needId: string; readonly qty: number }[];
  readonly surplus: readonly { readonly itemIndex: number; readonly qty: number }[];
  readonly misfits: readonly ({ readonly needId: string; readonly itemIndex: number } & DimMisfit)[];
  /** Covered share of what must be replaced, 0 to 1; 1 when nothing must. */
  readonly coverage: number;
};

/** Does this kit cover this unit? @param allowUnverified count pieces of which a wanted dimension is not stated @source design, chapter 5 */
export const matchKit = (needs: readonly Need[], kit: Pick<Kit, 'id' | 'items'>, allowUnverified: boolean): KitMatch => {
  const assigned = assignItems(needs, kit.items);
  const coveredOf = (n: number): number => sum(assigned.filter((a) => a.need === n).map((a) => a.qty));
  const usedOf = (i: number): number => sum(assigned.filter((a) => a.item === i).map((a) => a.qty));
  const missing = needs.flatMap((need, n) => (need.qty > coveredOf(n) ? [{ needId: need.id, qty: need.qty - coveredOf(n) }] : []));
  const mustReplace = sum(needs.filter((n) => n.policy === 'replace').map((n) => n.qty));
  const counted = assigned.filter((a) => needs[a.need]?.policy === 'replace' && (a.verified || allowUnverified));
  return {
    id: kit.id,
    covered: assigned.map((a) => ({ needId: (needs[a.need] as Need).id, itemIndex: a.item, qty: a.qty, verified: a.verified })),
    missing,
    surplus: kit.items.flatMap((item, i) => (item.qty > usedOf(i) ? [{ itemIndex: i, qty: item.qty - usedOf(i) }] : [])),
    misfits: needs.filter((need) => missing.some((m) => m.needId === need.id)).flatMap((need) => misfitsOf(need, kit)),
    coverage: mustReplace === 0 ? 1 : sum(counted.map((a) => a.qty)) / mustReplace,
  };
};

const misfitsOf = (need: Need, kit: Pick<Kit, 'items'>): KitMatch['misfits'] =>
  kit.items.flatMap((item, itemIndex) => {
    const fit = fitOf(need, item);
    return fit?.kind === 'misfit' ? fit.dims.map((d) => ({ needId: need.id, itemIndex, ...d })) : [];
  });

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
