import { z } from 'zod';
import { PART_KIND_NAMES } from '../family/part-kind';
import { DimsDoor } from '../kit/kit-door';
import { CONDITIONS } from './tray';

/** What was found in one slot and what becomes of it. `found` is null until somebody looks. */
export const TrayPartDoor = z.strictObject({
  id: z.string().min(1).max(60),
  slotId: z.string().min(1).max(60),
  kind: z.enum(PART_KIND_NAMES),
  name: z.string().min(1).max(80),
  qty: z.number().int().min(1).max(20),
  found: z.enum(['present', 'absent']).nullable(),
  condition: z.enum(CONDITIONS).nullable(),
  /** Where its lip faced when it came out. */
  faces: z.enum(['open', 'blind']).nullable(),
  dims: DimsDoor,
  note: z.string().max(500),
  photoId: z.string().nullable(),
  fate: z.enum(['refitted', 'replaced', 'binned']).nullable(),
  /** What went back in: the same piece, or a new one; with its lip where a person saw it. Null until it is in. */
  goesIn: z.strictObject({ piece: z.enum(['same', 'new']), faces: z.enum(['open', 'blind']).nullable() }).nullable(),
});
export type TrayPart = z.output<typeof TrayPartDoor>;
