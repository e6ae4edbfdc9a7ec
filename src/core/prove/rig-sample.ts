import { z } from 'zod';

/** What a run was doing: strokes before its hold, filling, holding, the rod let go, the pressure let down. */
export const PHASES = ['cycle', 'fill', 'hold', 'gone', 'down'] as const;

/** One sample of a run: time in s, pressure in bar, fluid pushed in since the fill began in ml, temperature in °C where there is a sensor. */
export const RigSample = z.object({
  t: z.number(),
  p: z.number(),
  ml: z.number(),
  c: z.number().nullish(),
  phase: z.enum(PHASES),
});
export type RigSample = z.output<typeof RigSample>;
