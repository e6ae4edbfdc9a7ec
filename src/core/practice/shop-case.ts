import type { Case } from './case-schema';

/** A case as it is asked: without the unit that it is of; with how often whoever looks has tried it. */
export type ShopCase = {
  readonly id: string;
  readonly asked: Case;
  readonly photoIds: readonly string[];
  readonly words: string;
  readonly by: string;
  readonly at: number;
  readonly tried: number;
  readonly right: number;
};
