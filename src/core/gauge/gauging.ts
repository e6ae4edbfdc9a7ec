import type { Reading } from './reading';

/** One gauging of a bore. Times in ms since 1970. */
export type Gauging = {
  readonly id: string;
  /** Which bore of the unit, from 1. */
  readonly pot: number;
  readonly at: number;
  readonly personId: string;
  readonly bodyTempC: number | null;
  readonly gaugeTempC: number | null;
  /** Null where it was not said. */
  readonly instrumentId: string | null;
  /** A lead's reason for a gauge whose ring check was overdue. */
  readonly override: string | null;
  readonly readings: readonly Reading[];
};
