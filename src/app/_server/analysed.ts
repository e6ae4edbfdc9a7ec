import type { RunStep } from '@/core/prove/programme/step';
import type { RigSample } from '@/core/prove/rig-sample';
import type { RunAnalysis, RunContext } from '@/core/prove/run-analysis';
import { fail, type Result } from '@/core/result';
import { theLog } from '@/log';
import { inPool, sayNotDone } from '@/pool/pool';

/** A run judged in a thread of its own; words where that could not be done. */
export const analysed = async (
  step: RunStep,
  samples: readonly RigSample[],
  context: RunContext,
): Promise<Result<RunAnalysis | null, string>> => {
  try {
    const judged = await inPool('analyse-run', { step, samples, context });
    return judged.ok ? judged : fail(`What was read could not be judged. ${sayNotDone(judged.error)}`);
  } catch (error) {
    theLog().error({ err: error }, 'a run could not be judged');
    return fail('What was read could not be judged, by a fault of the program.');
  }
};
