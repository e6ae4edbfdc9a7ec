import { z } from 'zod';
import { DimsSchema } from '../family/dims-schema';
import { PART_KIND_NAMES } from '../family/part-kind';
import { LATER } from '../schema/stored';
import { text } from '../schema/text';
import { CONDITIONS } from './condition';

/** Figures in the unit that the name ends in, or the word chosen. */
export const ChecksSchema = z.record(text().min(1).max(40), z.union([z.number().min(-1e6).max(1e6), text().min(1).max(60)]));
export type Checks = z.output<typeof ChecksSchema>;

/** How a screw was tightened: to a number from a manual, or by feel, with why. */
export const FastenedSchema = z.discriminatedUnion('how', [
  z.strictObject({
    how: z.literal('torque'),
    nm: z.number().gt(0, 'must be above 0 Nm').max(500),
    hand: z.enum(['right', 'left']),
    source: text().max(200),
  }),
  z.strictObject({
    how: z.literal('by-feel'),
    hand: z.enum(['right', 'left']),
    reason: text().trim().min(3, 'say why it is not by torque').max(200),
  }),
]);
export type Fastened = z.output<typeof FastenedSchema>;

/** Which piece of which bag, and so of which lot, a new part is. `place` counts from 0 in the bag's list. */
const PieceFrom = z.strictObject({ bagId: text(), lotId: text(), place: z.number().int().min(0) });
export type PieceFrom = z.output<typeof PieceFrom>;

const Facing = z.enum(['open', 'blind']).nullable();
const In = {
  /** Where a person saw its lip, bowl or small end face. */
  faces: Facing,
  /** When it went in, ms since 1970: what was tried or measured before then says nothing of it. */
  at: z.number(),
  /** How it was tightened, where it is. */
  fastened: FastenedSchema.nullable(),
};
/** A new piece that went in; `from` is null where nothing set aside gave it. */
const NewIn = z.strictObject({ piece: z.literal('new'), from: PieceFrom.nullable(), ...In });
const OwnIn = z.strictObject({ piece: z.literal('same'), ...In });

/**
 * What was found in one slot, what becomes of it, and what is in its place now. `found` is null until somebody looks.
 * How something was tightened is told with what is in, so nothing that is absent or still on the bench can be tightened.
 */
export const TrayPartSchema = z.strictObject({
  id: text().min(1).max(80),
  /** Its place in the row from the open end; parts that were added lie between whole numbers. */
  seq: z.number(),
  slotId: text().min(1).max(60),
  kind: z.enum(PART_KIND_NAMES),
  name: text().min(1).max(80),
  qty: z.number().int().min(1).max(20),
  found: z.enum(['present', 'absent']).nullable(),
  condition: z.enum(CONDITIONS).nullable(),
  /** Where its lip faced when it came out. */
  faces: Facing,
  dims: DimsSchema,
  /** What inspection found: figures and words by the name of the check. */
  checks: ChecksSchema,
  note: text().max(500),
  fate: z.enum(['refitted', 'replaced', 'binned']).nullable(),
  /** A lead lets it go back though its condition or its inspection is against it: who, and why. */
  allowed: z.strictObject({ name: text(), reason: text() }).nullable().register(LATER, { standard: null }),
  /** The piece that went in; null until one is. */
  goesIn: z.discriminatedUnion('piece', [OwnIn, NewIn]).nullable(),
});
export type TrayPart = z.output<typeof TrayPartSchema>;
export type GoesIn = NonNullable<TrayPart['goesIn']>;
export type Fate = NonNullable<TrayPart['fate']>;
