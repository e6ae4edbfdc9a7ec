import type { Material } from '../family/material';

/** A body that was sent out to be sleeved. */
export type Sleeving = {
  readonly id: string;
  /** Which bore of it, from 1; those of one body go out and come back together. */
  readonly pot: number;
  readonly shop: string;
  readonly material: Material;
  /** Thinnest wall when it went, mm. */
  readonly wallMm: number;
  readonly sentAt: number;
  readonly promisedAt: number;
  readonly backAt: number | null;
  readonly personId: string;
  readonly note: string;
};
