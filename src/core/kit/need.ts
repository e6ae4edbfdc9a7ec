/** Dimensions by name: numbers in mm where the name ends in Mm, else text such as a thread. Null is unknown. */
export type Dims = { readonly [name: string]: number | string | null | undefined };
export type Policy = 'replace' | 'prefer' | 'reuse-ok';

/** A part that a unit needs. */
export type Need = { readonly id: string; readonly kind: string; readonly qty: number; readonly dims: Dims; readonly policy: Policy };
/** A piece in a kit's bag. */
export type KitItem = { readonly kind: string; readonly qty: number; readonly dims: Dims };
export type Kit = {
  readonly id: string;
  readonly price: number;
  readonly stock?: number | null | undefined;
  readonly leadDays?: number | null | undefined;
  readonly items: readonly KitItem[];
};
export type Sundry = Omit<Kit, 'items'> & { readonly kind: string; readonly dims: Dims };
