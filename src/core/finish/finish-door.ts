import { z } from 'zod';
import { FINISH_NAMES } from './finish';

export const FinishDoor = z.strictObject({
  finish: z.enum(FINISH_NAMES),
  endsAt: z.number().int().positive(),
  plugs: z.number().int().min(0).max(60).nullable(),
  note: z.string().max(500),
  curedAt: z.number().int().nullable(),
});
