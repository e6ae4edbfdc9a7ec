import type { RigSample, RunAnalysis } from './run-analysis';

/** A run as a page follows it. New samples come in pieces; everything else as it stands. */
export type LiveRun = {
  readonly runId: string;
  readonly unitId: string;
  readonly tag: string;
  readonly rig: string;
  readonly speed: number;
  readonly state: 'filling' | 'holding' | 'asking' | 'letting-down' | 'finished' | 'aborted' | 'broken';
  readonly because: string;
  readonly targetBar: number;
  readonly holdS: number;
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
};
