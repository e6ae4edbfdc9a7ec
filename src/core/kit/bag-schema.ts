import { z } from 'zod';
import { DimsSchema } from '../family/dims-schema';
import { PART_KIND_NAMES } from '../family/part-kind';
import { text } from '../schema/text';
import { KitItemSchema } from './kit-schema';

const Qty = z.number().int().min(1).max(1000);
const Place = z.number().int().min(0).max(200);

export const BagItems = z.array(KitItemSchema.extend({ name: text().min(1).max(80) })).max(200);

export const Findings = z
  .array(
    z.discriminatedUnion('what', [
      z.strictObject({ what: z.literal('missing'), item: Place, qty: Qty }),
      z.strictObject({ what: z.literal('wrong'), item: Place, dims: DimsSchema, note: text().max(200) }),
      z.strictObject({
        what: z.literal('extra'),
        kind: z.enum(PART_KIND_NAMES),
        name: text().trim().min(2, 'what is it?').max(60),
        qty: Qty,
        dims: DimsSchema,
      }),
    ]),
  )
  .max(50);

export const Kept = z.array(z.strictObject({ item: Place, qty: Qty })).max(200);
