import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id, Note, Target } from '../schema/target';
import { FINISH_NAMES } from './finish';

export const PutOnFinish = z.object({
  ...Target,
  finish: z.enum(FINISH_NAMES),
  minutes: z
    .number()
    .min(1)
    .max(60 * 24 * 60),
  plugs: z.number().int().min(0).max(60),
  note: Note,
});
export type PutOnFinish = Sends<typeof PutOnFinish>;
export const FindCured = z.object({ ...Target, finishId: Id, plugsOut: z.number().int().min(0).max(60) });
export type FindCured = Sends<typeof FindCured>;
