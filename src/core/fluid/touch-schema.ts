import { z } from 'zod';
import { FLUID_NAMES } from './fluid';
import { LUBRICANT_NAMES } from './lubricant';
import { RUBBER_NAMES } from './rubber';

const PieceMm = z.number().gt(0, 'must be above 0 mm').max(200);

export const TouchSchema = z.strictObject({
  fluid: z.enum(FLUID_NAMES).nullable(),
  wasFluid: z.enum(FLUID_NAMES).nullable(),
  flush: z.enum(['flushed', 'to-flush', 'no']),
  rubber: z.enum(RUBBER_NAMES).nullable(),
  swell: z.strictObject({ beforeMm: PieceMm, afterMm: PieceMm }).nullable(),
  lubricant: z.enum(LUBRICANT_NAMES),
});
