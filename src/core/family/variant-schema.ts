import { z } from 'zod';
import { text } from '../schema/text';
import { BoreSealSchema } from './bore-seal-schema';
import { FAMILIES } from './families';
import type { Family } from './family';
import { FAMILY_NAMES, type UnitKind } from './family-name';
import { GrooveSchema, PortSchema } from './geometry-schema';
import { PART_KIND_NAMES } from './part-kind';

const Id = text()
  .regex(/^[a-z0-9-]+$/, 'small letters, figures and dashes')
  .max(40);
const XMm = z.number().min(-1000).max(1000);

export const SlotSchema = z.strictObject({
  id: Id,
  name: text().trim().min(1, 'needs a name').max(60),
  kind: z.enum(PART_KIND_NAMES),
  qty: z.number().int().min(1).max(20),
  optional: z.boolean(),
  between: z.tuple([Id, Id]).optional(),
  groove: Id.optional(),
  oneOf: z.array(z.enum(PART_KIND_NAMES)).max(20).optional(),
});

/** A family as this shop meets it: the base's chambers and route, with slots and dimensions of its own. */
export const VariantSchema = z.strictObject({
  base: z.enum(FAMILY_NAMES),
  label: text().trim().min(3, 'needs a name').max(60),
  slots: z.array(SlotSchema).min(1).max(40),
  drawing: z.strictObject({
    atMm: z.number().min(8, 'a bore is 8 to 80 mm').max(80, 'a bore is 8 to 80 mm'),
    lengthMm: z.number().min(5).max(500),
    wallMm: z.number().min(1).max(60),
    ports: z.array(PortSchema).max(20),
    grooves: z.array(GrooveSchema).max(10),
    seals: z.array(BoreSealSchema).max(20),
    spans: z.record(Id, z.strictObject({ x0Mm: XMm, x1Mm: XMm })),
  }),
});
export type Variant = z.output<typeof VariantSchema>;

/** The family that a unit belongs to: a standard one, or the shop's variant of it. */
export const familyOf = (kind: UnitKind, variant: Variant | null): Family =>
  variant === null
    ? FAMILIES[kind]
    : { ...FAMILIES[kind], label: variant.label, slots: variant.slots as Family['slots'], drawing: variant.drawing };
