import { z } from 'zod';
import { DimsDoor } from '../family/dims-door';
import { PART_KIND_NAMES } from '../family/part-kind';
import { CONDITIONS } from './condition';

/** Figures in the unit that the name ends in, or the word chosen. */
export const ChecksDoor = z.record(z.string().min(1).max(40), z.union([z.number().min(-1e6).max(1e6), z.string().min(1).max(60)]));
export type Checks = z.output<typeof ChecksDoor>;

/** How a screw was tightened: to a number from a manual, or by feel, with why. */
export const FastenedDoor = z.discriminatedUnion('how', [
  z.strictObject({
    how: z.literal('torque'),
    nm: z.number().gt(0, 'must be above 0 Nm').max(500),
    hand: z.enum(['right', 'left']),
    source: z.string().max(200),
  }),
  z.strictObject({
    how: z.literal('by-feel'),
    hand: z.enum(['right', 'left']),
    reason: z.string().trim().min(3, 'say why it is not by torque').max(200),
  }),
]);
export type Fastened = z.output<typeof FastenedDoor>;

/** What was found in one slot and what becomes of it. `found` is null until somebody looks. */
export const TrayPartDoor = z.strictObject({
  id: z.string().min(1).max(80),
  /** Its place in the row from the open end; parts that were added lie between whole numbers. */
  seq: z.number(),
  slotId: z.string().min(1).max(60),
  kind: z.enum(PART_KIND_NAMES),
  name: z.string().min(1).max(80),
  qty: z.number().int().min(1).max(20),
  found: z.enum(['present', 'absent']).nullable(),
  condition: z.enum(CONDITIONS).nullable(),
  /** Where its lip faced when it came out. */
  faces: z.enum(['open', 'blind']).nullable(),
  dims: DimsDoor,
  /** What inspection found: figures and words by the name of the check. */
  checks: ChecksDoor,
  note: z.string().max(500),
  fate: z.enum(['refitted', 'replaced', 'binned']).nullable(),
  /** What went back in: the same piece, or a new one; with its lip where a person saw it. Null until it is in. */
  goesIn: z.strictObject({ piece: z.enum(['same', 'new']), faces: z.enum(['open', 'blind']).nullable() }).nullable(),
  /** When it went in, ms since 1970: what was tried or measured before then says nothing of it. */
  inAt: z.number().nullable(),
  fastened: FastenedDoor.nullable(),
});
export type TrayPart = z.output<typeof TrayPartDoor>;
export type Fate = NonNullable<TrayPart['fate']>;
