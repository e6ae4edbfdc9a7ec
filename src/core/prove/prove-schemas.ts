import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id, Note, Target } from '../schema/target';
import { text } from '../schema/text';
import { WET_NAMES } from './programme/seen';
import { ReadRunSchema } from './read-run-schema';

const StepId = text().min(1).max(60);
const Shield = z.boolean().refine((shut) => shut, 'shut the shield first');
export const StartRun = z.object({ ...Target, stepId: StepId, shield: Shield, holder: Id });
export type StartRun = Sends<typeof StartRun>;
export const StoreRun = z.object({ ...Target, stepId: StepId, shield: Shield, way: z.enum(['by-hand', 'logger']), ...ReadRunSchema.shape });
export type StoreRun = Sends<typeof StoreRun>;
export const NoteSeen = z.object({
  ...Target,
  stepId: StepId,
  answer: z.enum(['good', 'bad']).nullable(),
  readings: z.tuple([z.number().min(-1000).max(1000), z.number().min(-1000).max(1000)]).nullable(),
  wet: z.enum(WET_NAMES).nullable(),
  note: text().trim().max(300),
});
export type NoteSeen = Sends<typeof NoteSeen>;
export const StartStanding = z.object({ ...Target, stepId: StepId, startMm: z.number().min(-1000).max(1000).nullable() });
export type StartStanding = Sends<typeof StartStanding>;
export const ReopenAfterFail = z.object({ ...Target, what: Note });
export type ReopenAfterFail = Sends<typeof ReopenAfterFail>;
export const QueuedUnit = z.object({ unitId: Id });
export type QueuedUnit = Sends<typeof QueuedUnit>;
