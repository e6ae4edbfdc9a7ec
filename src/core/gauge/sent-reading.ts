import { z } from 'zod';
import { ClockDeg, DiaMm, XMm } from './gauge-schema';

/** What a gauge posts: a diameter, and where it was taken if the gauge knows. */
export const SentReadings = z
  .object({
    readings: z
      .array(z.strictObject({ diaMm: DiaMm, xMm: XMm.nullish(), clockDeg: ClockDeg.nullish() }))
      .min(1)
      .max(500),
  })
  .meta({ id: 'SentReadings' });
export type SentReading = z.output<typeof SentReadings>['readings'][number];
