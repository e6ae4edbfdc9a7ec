import { z } from 'zod';

const Share = z.number().min(0).max(1);
const FixedPoints = z
  .array(z.strictObject({ u: Share, v: Share, xMm: z.number().min(0).max(10_000), clockDeg: z.number().min(0).max(360) }))
  .length(4, 'a photo of the wall is laid by four points');

// A ring may reach beyond the picture's edge.
const Middle = z.number().min(-2).max(4);
const Radius = z.number().min(0.001).max(4);
const Ring = z.strictObject({ u: Middle, v: Middle, ru: Radius, rv: Radius });
const DownBoreSchema = z.strictObject({
  kind: z.literal('down-bore'),
  from: z.enum(['open-end', 'far-end']),
  mouth: Ring,
  deep: Ring,
  deepMm: z.number().min(0.5, 'the second ring lies deeper than the mouth').max(1000),
  twelveDeg: z.number().min(-360).max(720),
});

/** How a photo lies, as it is sent. */
export const LiesSchema = z.discriminatedUnion('kind', [z.strictObject({ kind: z.literal('wall'), points: FixedPoints }), DownBoreSchema]);
/** The same as it is stored: photos of the wall by their points alone, as they were before there were others. */
export const StoredLies = z.union([FixedPoints.transform((points) => ({ kind: 'wall' as const, points })), DownBoreSchema]);
