import { z } from 'zod';
import { PART_KIND_NAMES } from '../family/part-kind';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';

export const NoteTorque = z.object({
  ...Target,
  slotId: Id,
  nm: z.number().gt(0, 'must be above 0 Nm').max(500),
  hand: z.enum(['right', 'left']),
  source: text().trim().min(3, 'which manual, and where in it?').max(200),
});
export type NoteTorque = Sends<typeof NoteTorque>;
const ForgottenSchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('listed'), partId: Id }),
  z.strictObject({
    what: z.literal('unlisted'),
    partId: Id,
    kind: z.enum(PART_KIND_NAMES),
    name: text().trim().min(2, 'what is it?').max(60),
    behindId: Id.nullable(),
  }),
]);
export const FindForgotten = z.object({ ...Target, forgotten: ForgottenSchema });
export type FindForgotten = Sends<typeof FindForgotten>;
