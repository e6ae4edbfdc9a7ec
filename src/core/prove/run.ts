import type { RunStep } from './programme/step';
import type { RunAnalysis } from './run-analysis';
import type { RunWay } from './run-way';

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
