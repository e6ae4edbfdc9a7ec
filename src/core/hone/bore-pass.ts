import type { HonePass } from './cutting-rate';
import type { Drive, Tool } from './drive';

/** A pass over the bore: with what, how long and how fast, and what the narrowest place in the lanes measured before and after, at 20 °C where the body's temperature is known. */
export type BorePass = HonePass & {
  readonly id: string;
  /** Which bore of the unit, from 1. */
  readonly pot: number;
  readonly at: number;
  readonly personId: string;
  readonly tool: Tool;
  readonly drive: Drive;
  /** Of the body when it was measured; null where nobody said: it counts as read. */
  readonly bodyTempC: number | null;
  readonly note: string;
};
