import type { RunStep } from './programme/step';
import type { RunAnalysis } from './run-analysis';
import type { RunWay } from './run-way';

/** How a run ended, or that it has not. `interrupted`: the server stopped in the middle of it. */
export const RUN_STATE_WORDS = {
  running: 'running',
  finished: 'finished',
  aborted: 'let down early',
  broken: 'broken off',
  interrupted: 'interrupted',
};
export const RUN_OUTCOME_WORDS: { readonly [O in RunAnalysis['outcome']]: string } = {
  pass: 'passed',
  fail: 'failed',
  'hold-longer': 'undecided',
};

/** A run of one step of a programme; the step as it was then. */
export type Run = {
  readonly id: string;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly state: keyof typeof RUN_STATE_WORDS;
  readonly way: RunWay;
  readonly programme: number;
  readonly step: RunStep;
  readonly because: string;
  readonly outcome: RunAnalysis['outcome'] | null;
  readonly sentence: string;
};
