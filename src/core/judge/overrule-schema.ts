import { z } from 'zod';
import { text } from '../schema/text';
import { OVERRULINGS } from './overrule';

/** A lead's decision as it is stored and sent. */
export const OverruleSchema = z.object({
  outcome: z.enum(OVERRULINGS),
  targetDiaMm: z.number().gt(0).max(1000).nullable(),
  reason: text().trim().min(3, 'a reason is needed').max(500),
  personId: text(),
  at: z.number(),
});
