import { z } from 'zod';
import type { BenchRecord } from '@/core/bench/bench-record';
import { BenchDataSchema } from '@/core/bench/bench-schema';
import { BEFORE_NAMES } from '@/core/book-in/before';
import { COMPLAINT_NAMES } from '@/core/book-in/complaint';
import { GeometrySchema } from '@/core/family/geometry-schema';
import type { BorePass } from '@/core/hone/bore-pass';
import { GritSchema } from '@/core/hone/hone-schema';
import { RunStepSchema } from '@/core/prove/programme/step-schema';
import type { Run } from '@/core/prove/run';
import { stored } from '@/core/schema/stored';
import { PotSchema } from '@/core/unit/pot-schema';
import type { Timer } from '@/core/unit/timer';
import type { Step, Unit } from '@/core/unit/unit-record';
import type { benchRecords, honePasses, runs, steps, timers, units } from '../tables';

const Geometry = stored(GeometrySchema.nullable());
const RunStep = stored(RunStepSchema);
const BenchData = stored(BenchDataSchema);
const Pots = z.array(stored(PotSchema));
const Texts = z.array(z.string());
const Befores = z.array(z.enum(BEFORE_NAMES));
const Complaints = z.array(z.enum(COMPLAINT_NAMES));

export const toUnit = (row: typeof units.$inferSelect): Unit => ({
  ...row,
  geometry: Geometry.parse(row.geometry),
  morePots: Pots.parse(row.morePots),
  complaints: Complaints.parse(row.complaints),
  before: Befores.parse(row.before),
});
export const toStep = ({ unitId: _, ...s }: typeof steps.$inferSelect): Step => ({ ...s, unmet: Texts.parse(s.unmet) });
export const toPass = ({ unitId: _, material: __, ...pass }: typeof honePasses.$inferSelect): BorePass => ({
  ...pass,
  grit: GritSchema.parse(pass.grit),
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
