import type { Measured } from './feature';

/** Which fitment a unit is taken to be, and what was measured to tell. */
export type Identity = {
  readonly id: string;
  readonly fitmentId: string;
  readonly label: string;
  readonly measured: Measured;
  readonly at: number;
  readonly personId: string;
};
