import { and, desc, eq, ne, sql } from 'drizzle-orm';
import type { RunStep } from '@/core/prove/programme/step';
import { RunStepSchema } from '@/core/prove/programme/step-schema';
import type { PastRun } from '@/core/prove/rig-health';
import { stored } from '@/core/schema/stored';
import type { Reader } from '../engine/connection';
import { runs, units } from '../tables';

const Step = stored(RunStepSchema);

/** A run that the rig made, with whose it was and what it came to. */
export type RigRun = PastRun & {
  readonly id: string;
  readonly tagNo: number;
  readonly step: RunStep;
  readonly outcome: 'pass' | 'fail' | 'hold-longer' | null;
  readonly sentence: string;
};

/** The rig's newest runs that are over, of any unit. */
export async function newestRigRuns(db: Reader, most: number): Promise<readonly RigRun[]> {
  const rows = await db
    .select({
      id: runs.id,
      tagNo: units.tagNo,
      at: runs.startedAt,
      state: runs.state,
      step: runs.step,
      outcome: runs.outcome,
      because: runs.because,
      sentence: runs.sentence,
      rmsBar: sql<number | null>`json_extract(${runs.analysis}, '$.rmsBar')`,
      spikes: sql<number>`coalesce(json_extract(${runs.analysis}, '$.spikes'), 0)`,
    })
    .from(runs)
    .innerJoin(units, eq(units.id, runs.unitId))
    .where(and(eq(runs.way, 'rig'), ne(runs.state, 'running')))
    .orderBy(desc(runs.startedAt))
    .limit(most);
  return rows.flatMap(({ state, step, ...r }) => (state === 'running' ? [] : [{ ...r, state, step: Step.parse(step) }]));
}
