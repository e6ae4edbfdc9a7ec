import type { RunStep } from './programme/step';
import type { RunAnalysis } from './run-analysis';

/** How a run was made: on the rig, read by eye beside a hand pump, or from what a logger wrote. */
export const RUN_WAYS = { rig: 'on the rig', 'by-hand': 'hand pump, read by eye', logger: 'hand pump, by a logger' } as const;
export type RunWay = keyof typeof RUN_WAYS;
/** A run of one step of a programme; the step as it was then. */
export type Run = {
  readonly id: string;
  readonly startedAt: number;
  readonly endedAt: number | null;
  /** `interrupted`: the server stopped in the middle of it. */
  readonly state: 'running' | 'finished' | 'aborted' | 'broken' | 'interrupted';
  readonly way: RunWay;
  readonly programme: number;
  readonly step: RunStep;
  readonly because: string;
  readonly outcome: RunAnalysis['outcome'] | null;
  readonly sentence: string;
};
