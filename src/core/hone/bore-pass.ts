import type { HonePass } from './cutting-rate';
import type { Drive, Tool } from './drive';

/** A pass over the bore: with what, how long and how fast, and what the narrowest place in the lanes measured before and after. */
export type BorePass = HonePass & {
  readonly id: string;
  readonly at: number;
  readonly personId: string;
  readonly tool: Tool;
  readonly drive: Drive;
  readonly note: string;
};
