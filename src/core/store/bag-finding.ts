import type { Dims } from '../family/dims';
import type { PartKind } from '../family/part-kind';

/** What was really in a bag, beside what the catalogue says of it. */
export type BagFinding =
  | { readonly what: 'missing'; readonly item: number; readonly qty: number }
  | { readonly what: 'wrong'; readonly item: number; readonly dims: Dims; readonly note: string }
  | { readonly what: 'extra'; readonly kind: PartKind; readonly name: string; readonly qty: number; readonly dims: Dims };

/** Pieces that were taken out of a bag for another end than this unit, by their place in its list. */
export type Taken = { readonly item: number; readonly qty: number };
