import { z } from 'zod';
import { FAMILY_NAMES } from '../family/family-name';
import { Id } from '../schema/target';
import { PRACTICE_KIND_NAMES } from './kinds';

/** An answer to an exercise, which its seed makes again where it is judged. */
export const AnswerExercise = z.strictObject({
  id: Id,
  kind: z.enum(PRACTICE_KIND_NAMES),
  level: z.literal([1, 2, 3]),
  seed: z.number().int().min(0).max(2_147_483_647),
  answer: z.union([z.number().min(-1e6).max(1e6), z.array(z.number().int().min(0).max(100)).max(100)]),
  hints: z.number().int().min(0).max(10),
  /** Where it was asked of one family. */
  family: z.enum(FAMILY_NAMES).nullable(),
});
