import { z } from 'zod';
import { when } from '../schema/when';

const EndId = z.string().min(1).max(100);
const at = when();

/** What was done at the machine, in order. `at`: ms since 1970. */
export const BleedEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('prepared'), at, step: z.number().int().min(0).max(100) }),
  z.strictObject({ kind: z.literal('filled'), at }),
  z.strictObject({ kind: z.literal('opened'), at, endId: EndId }),
  z.strictObject({ kind: z.literal('stroke'), at, endId: EndId }),
  z.strictObject({ kind: z.literal('clear'), at, endId: EndId }),
  z.strictObject({ kind: z.literal('outlet'), at }),
  z.strictObject({ kind: z.literal('spongy'), at }),
  /** Travel at the pedal from rest to the stated force, free play and all. */
  z.strictObject({ kind: z.literal('firm'), at, travelMm: z.number().positive().max(1000) }),
]);
export type BleedEvent = z.output<typeof BleedEventSchema>;

/** What was done, before its moment is known. */
export type BleedDeed = BleedEvent extends infer E ? (E extends BleedEvent ? Omit<E, 'at'> : never) : never;
