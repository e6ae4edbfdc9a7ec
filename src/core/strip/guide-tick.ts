import type { Dims } from '../family/dims';

/** A step of the strip guide that was done, with what was noted and measured at it. */
export type GuideTick = {
  readonly id: string;
  readonly stepId: string;
  readonly at: number;
  readonly personId: string;
  readonly note: string;
  readonly dims: Dims;
};
