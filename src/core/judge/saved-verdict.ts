import type { Judgement } from './judge';
import type { Overrule } from './overrule';

/** A judgement on record. */
export type SavedVerdict = {
  readonly id: string;
  /** Which bore of the unit, from 1. */
  readonly pot: number;
  readonly gaugingId: string | null;
  readonly at: number;
  readonly personId: string;
  /** As it counts: what a lead decided stands in it, and it says so. */
  readonly answer: Judgement;
  readonly overrule: Overrule | null;
};
