import type { RunStep } from './programme/step';
import type { RigSample } from './rig-sample';
import type { RunAnalysis } from './run-analysis';

/** `asking`: the hold is over and decided nothing; pressure stays while a person may have it held longer. `watching`: the rod was let go. */
export const RUN_STATES = {
  cycling: 'stroking',
  filling: 'filling',
  holding: 'holding',
  asking: 'held, and undecided',
  watching: 'let go, watched',
  'letting-down': 'letting the pressure down',
  finished: 'finished',
  aborted: 'let down early',
  broken: 'broken off',
} as const;
export type RunState = keyof typeof RUN_STATES;

export const isOver = (state: RunState): boolean => state === 'finished' || state === 'aborted' || state === 'broken';

/** What a gauge may show of a rig that is let down, bar. */
const DOWN_BAR = 0.5;
/** Did the samples of a run that is over show its pressure gone. */
export const wasSeenDown = (samples: readonly RigSample[]): boolean => (samples.at(-1)?.p ?? Infinity) < DOWN_BAR;

/** A run as a page follows it. New samples come in pieces; everything else as it stands. */
export type LiveRun = {
  readonly runId: string;
  readonly unitId: string;
  readonly tag: string;
  readonly rig: string;
  readonly speed: number;
  readonly state: RunState;
  readonly because: string;
  readonly step: RunStep;
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
};
