import type { Dims } from '../family/dims';
import type { KitItem } from '../store/article';

export type Policy = 'replace' | 'prefer' | 'reuse-ok';

/** A part that a unit needs. */
export type Need = { readonly id: string; readonly kind: string; readonly qty: number; readonly dims: Dims; readonly policy: Policy };
export type Kit = {
  readonly id: string;
  readonly price: number;
  readonly stock?: number | null | undefined;
  readonly leadDays?: number | null | undefined;
  readonly items: readonly KitItem[];
};
export type Sundry = Omit<Kit, 'items'> & { readonly kind: string; readonly dims: Dims };

export type Store = {
  readonly kits: readonly Kit[];
  readonly sundries: readonly Sundry[];
  readonly promiseDays?: number | null | undefined;
  readonly allowUnverified: boolean;
};
