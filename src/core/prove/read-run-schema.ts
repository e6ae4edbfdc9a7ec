import { z } from 'zod';
import { PHASES } from './rig-sample';

const AT_MOST = 20_000;

/** A run as a person read it or a logger wrote it: time in s, pressure in bar, fluid pushed in so far in ml; in order of time. */
export const ReadRunSchema = z.strictObject({
  samples: z
    .array(
      z.strictObject({
        t: z.number().min(0).max(86_400),
        p: z.number().min(-1).max(500),
        ml: z.number().min(0).max(1000),
        c: z.number().min(-40).max(150).nullish(),
        phase: z.enum(PHASES),
      }),
    )
    .min(1)
    .max(AT_MOST, `at most ${AT_MOST} readings`)
    .refine((all) => all.every((s, i) => i === 0 || s.t > (all[i - 1]?.t ?? 0)), 'time repeats or runs backward'),
  /** Smallest steps of the gauge and of the fluid measured. */
  readTo: z.strictObject({ bar: z.number().min(0).max(20), ml: z.number().min(0).max(10) }),
});
export type ReadRun = z.output<typeof ReadRunSchema>;
