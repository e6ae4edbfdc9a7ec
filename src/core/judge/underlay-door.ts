import { z } from 'zod';

const Share = z.number().min(0).max(1);
export const FixedPoints = z
  .array(z.strictObject({ u: Share, v: Share, xMm: z.number().min(0).max(10_000), clockDeg: z.number().min(0).max(360) }))
  .length(4, 'a photo is laid by four points');
