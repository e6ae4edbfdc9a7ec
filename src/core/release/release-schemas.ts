import { z } from 'zod';
import type { Sends } from '../schema/sends';

/** Ends a key of the shop's, by its fingerprint. */
export const EndKey = z.object({
  id: z
    .string()
    .regex(/^[0-9a-f]{20}$/)
    .max(20),
});
export type EndKey = Sends<typeof EndKey>;
