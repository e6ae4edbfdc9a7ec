import { z } from 'zod';
import { text } from '../schema/text';
import { FINISH_NAMES } from './finish';

export const FinishSchema = z.strictObject({
  finish: z.enum(FINISH_NAMES),
  endsAt: z.number().int(),
  plugs: z.number().int().min(0).max(60).nullable(),
  note: text().max(500),
  curedAt: z.number().int().nullable(),
});
