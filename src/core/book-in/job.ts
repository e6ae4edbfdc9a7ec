import type { Complaint } from './complaint';

/** What came in with whom, and why. */
export type Job = {
  readonly id: string;
  readonly customer: string;
  readonly phone: string;
  readonly machine: string;
  readonly complaints: readonly Complaint[];
  readonly complaintText: string;
  readonly promisedAt: number;
};
