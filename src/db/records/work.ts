import { z } from 'zod';
import { BenchDataDoor } from '@/core/bench/bench-door';
import type { BenchRecord } from '@/core/bench/bench-record';
import { GeometryDoor } from '@/core/family/geometry-door';
import type { BorePass } from '@/core/hone/bore-pass';
import { GritDoor } from '@/core/hone/hone-door';
import { RunStepDoor } from '@/core/prove/programme/step-door';
import type { Run } from '@/core/prove/run';
import { stored } from '@/core/schema/stored';
import type { Timer } from '@/core/unit/timer';
import type { Step, Unit } from '@/core/unit/unit-record';
import type { benchRecords, honePasses, runs, steps, timers, units } from '../tables';

const Geometry = stored(GeometryDoor.nullable());
const RunStep = stored(RunStepDoor);
const BenchData = stored(BenchDataDoor);
const Texts = z.array(z.string());

export const toUnit = (row: typeof units.$inferSelect): Unit => ({ ...row, geometry: Geometry.parse(row.geometry) });
export const toStep = ({ unitId: _, ...s }: typeof steps.$inferSelect): Step => ({ ...s, unmet: Texts.parse(s.unmet) });
export const toPass = ({ unitId: _, material: __, ...pass }: typeof honePasses.$inferSelect): BorePass => ({
  ...pass,
  grit: GritDoor.parse(pass.grit),
});
export const toBench = ({ id, at, personId, data }: typeof benchRecords.$inferSelect): BenchRecord => ({
  ...BenchData.parse(data),
  id,
  at,
  personId,
});
export const toTimer = ({ rungAt: _, unitId: __, ...timer }: typeof timers.$inferSelect): Timer => timer;
/** Without its samples and its analysis, which are read when they are shown. */
export const toRun = (row: Omit<typeof runs.$inferSelect, 'samples' | 'analysis'>): Run => {
  const { unitId: _, rig: __, personId: ___, stepId: ____, samples: _____, analysis: ______, ...run } = row as typeof runs.$inferSelect;
  return { ...run, step: RunStep.parse(run.step) };
};
