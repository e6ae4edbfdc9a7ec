import { z } from 'zod';
import { upTo } from '../quantity/figure';
import type { Rules } from '../rules/rule-set';
import { PortAnalysis, portAnalysis, ResidualAnalysis, residualAnalysis } from './gone-analysis';
import { HoldAnalysis, holdAnalysis, type ReadTo } from './hold-analysis';
import type { RunStep } from './programme/step';
import type { RigSample } from './rig-sample';
import type { RunWay } from './run-way';

/** What a run's samples say, by the kind of its step. */
export const RunAnalysis = z.discriminatedUnion('kind', [HoldAnalysis, PortAnalysis, ResidualAnalysis]);
export type RunAnalysis = z.output<typeof RunAnalysis>;

/** What bears on a run's judgement beside its samples; `keptBar`: what a residual valve of the unit may keep. */
export type RunContext = { readonly rules: Rules; readonly keptBar: number; readonly readTo: ReadTo; readonly way: RunWay };

/** The run of a step, judged; undefined while there is too little to say anything. */
export const analyseRun = (step: RunStep, samples: readonly RigSample[], c: RunContext): RunAnalysis | undefined => {
  switch (step.kind) {
    case 'hold':
    case 'cycles':
      return holdAnalysis(samples, { ...c, limitMlPerMin: step.limitMlPerMin ?? c.rules.limitMlPerMin, stepBar: step.targetBar });
    case 'port':
      return portAnalysis(samples, step, c.keptBar);
    case 'residual':
      return residualAnalysis(samples, step);
  }
};

/** Shares of a step's pressure and time that a run by hand must reach: a person pumps and reads about so well. */
const [ENOUGH_BAR, ENOUGH_S] = [0.9, 0.95];

/** How a run that was not driven by the rig falls short of its step; undefined: it does not, or it found a fault at less already. */
export const fallsShort = (step: RunStep, samples: readonly RigSample[], a: RunAnalysis): string | undefined => {
  if (a.outcome === 'fail') return undefined;
  const fromBar = a.kind === 'hold' ? (a.startBar ?? 0) : a.fromBar;
  const holdS = a.kind === 'hold' && 'holdS' in step ? step.holdS : 0;
  // From the valve shut: a first reading that was late does not make the hold shorter.
  const shutT = samples.findLast((s) => s.phase === 'fill')?.t ?? 0;
  const heldS = (samples.findLast((s) => s.phase === 'hold')?.t ?? shutT) - shutT;
  if (fromBar >= ENOUGH_BAR * step.targetBar && heldS >= ENOUGH_S * holdS) return undefined;
  const say = (bar: number, s: number): string => `${upTo(bar, 1)} bar${holdS > 0 ? ` for ${Math.round(s)} s` : ''}`;
  return `This was ${say(fromBar, heldS)}; its programme asks for ${say(step.targetBar, holdS)}.`;
};
