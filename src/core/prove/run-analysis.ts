import { z } from 'zod';
import type { Rules } from '../rules/rule-set';
import { PortAnalysis, portAnalysis, ResidualAnalysis, residualAnalysis } from './gone-analysis';
import { HoldAnalysis, holdAnalysis, type ReadTo } from './hold-analysis';
import type { RunStep } from './programme/step';
import type { RigSample } from './rig-sample';

/** What a run's samples say, by the kind of its step. */
export const RunAnalysis = z.discriminatedUnion('kind', [HoldAnalysis, PortAnalysis, ResidualAnalysis]);
export type RunAnalysis = z.output<typeof RunAnalysis>;

/** What bears on a run's judgement beside its samples; `keptBar`: what a residual valve of the unit may keep. */
export type RunContext = { readonly rules: Rules; readonly keptBar: number; readonly readTo: ReadTo };

/** The run of a step, judged; undefined while there is too little to say anything. */
export const analyseRun = (step: RunStep, samples: readonly RigSample[], c: RunContext): RunAnalysis | undefined => {
  switch (step.kind) {
    case 'hold':
    case 'cycles':
      return holdAnalysis(samples, step.limitMlPerMin ?? c.rules.limitMlPerMin, c.rules, c.readTo);
    case 'port':
      return portAnalysis(samples, step, c.keptBar);
    case 'residual':
      return residualAnalysis(samples, step);
  }
};
