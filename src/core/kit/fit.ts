import type { Dims } from '../family/dims';
import { normalThread } from '../quantity/thread';
import { atMost } from '../statistics/compare';
import type { KitItem } from '../store/article';
import type { Need } from './need';

/** How far a piece may differ and still fit, mm. @source design, chapter 5 */
const TOLERANCE_MM: { readonly [name: string]: number } = { boreMm: 0.06, idMm: 0.3, odMm: 0.3, csMm: 0.1, lengthMm: 1, thickMm: 0.2 };

export type DimMisfit = { readonly dim: string; readonly want: number | string; readonly have: number | string };

/** Whether a piece of the same kind fits a need: for sure, as far as is stated, or not, and where not. */
export type Fit =
  | { readonly kind: 'verified' }
  | { readonly kind: 'unverified'; readonly unstated: readonly string[] }
  | { readonly kind: 'misfit'; readonly dims: readonly DimMisfit[] };

/** Compares dimension by dimension, where both sides state one; undefined when the kinds differ. */
export const fitOf = (need: Pick<Need, 'kind' | 'dims'>, item: Pick<KitItem, 'kind' | 'dims'>): Fit | undefined => {
  if (need.kind !== item.kind) return undefined;
  const wanted = Object.entries(need.dims).flatMap(([dim, want]) => (want == null ? [] : [{ dim, want, have: item.dims[dim] }]));
  const dims = wanted.flatMap(({ dim, want, have }) => (have == null || sameDim(dim, want, have) ? [] : [{ dim, want, have }]));
  if (dims.length > 0) return { kind: 'misfit', dims };
  const unstated = wanted.filter((w) => w.have == null).map((w) => w.dim);
  return unstated.length > 0 ? { kind: 'unverified', unstated } : { kind: 'verified' };
};

const sameDim = (dim: string, want: number | string, have: number | string): boolean => {
  if (typeof want === 'number' && typeof have === 'number') return atMost(Math.abs(want - have), TOLERANCE_MM[dim] ?? 0);
  if (dim === 'thread') return normalThread(String(want)) === normalThread(String(have));
  return want === have;
};

/** The dimensions that both state differ only within tolerance, and not at all: `19 / 19.05`. For a note beside the match. */
export const sizeDiffers = (want: Dims, have: Dims): readonly string[] =>
  Object.keys(want).filter((dim) => want[dim] != null && have[dim] != null && want[dim] !== have[dim] && typeof want[dim] === 'number');
