import { z } from 'zod';
import { GeometrySchema } from '../family/geometry-schema';
import { MATERIALS } from '../family/material';

/** A second or third pot of a caliper half: a bore of its own. `boreChangedAt` as of a unit, ms since 1970. */
export const PotSchema = z.strictObject({
  geometry: GeometrySchema,
  material: z.enum(MATERIALS),
  boreChangedAt: z.number(),
});
export type Pot = z.output<typeof PotSchema>;
