import { z } from 'zod';
import { GRITS } from '../../hone/cutting-rate';
import type { Sends } from '../../schema/sends';
import { Id } from '../../schema/target';
import { JOB_FAMILIES } from './truth';

export const BeginJob = z.strictObject({ id: Id, family: z.enum(JOB_FAMILIES) });
export type BeginJob = Sends<typeof BeginJob>;
export const EndJob = z.strictObject({ job: z.number().int().min(1).max(900_000_000) });
export type EndJob = Sends<typeof EndJob>;
/** Where the stand-in gauge is put; null: all over, as the grid asks. */
export const MeasureThere = z.strictObject({ xMm: z.number().min(0).max(1000).nullable() });
export type MeasureThere = Sends<typeof MeasureThere>;
/** Strokes at the stone that are not logged yet. */
export const TryStrokes = z.strictObject({
  grit: z.literal(GRITS),
  strokes: z.number().int().min(0).max(10_000),
  strokesPerMin: z.number().min(1).max(300),
  rpm: z.number().min(1).max(3000),
});
export type TryStrokes = Sends<typeof TryStrokes>;
