import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';

const Length = z.number().min(-500).max(2000);
const Positive = z.number().positive().max(5000);
const Uncertainty = z.number().min(0).max(10);
const Step = z.number().min(0).max(10).nullish();
const Alpha = z.number().min(0).max(0.001);
const Depths = { rimStandOffMm: Length, socketDepthMm: z.number().min(0).max(500) };

export const SetupRequest = z
  .object({
    master: z.strictObject({ ...Depths, uMm: Uncertainty, stepMm: Step }),
    booster: z.strictObject({
      straightEdgeMm: z.number().min(0).max(500),
      readingMm: z.number().min(0).max(2000),
      uMm: Uncertainty,
      stepMm: Step,
    }),
    spacerMm: z.number().min(0).max(100).nullish(),
    window: z.strictObject({ minMm: z.number().min(0).max(20).nullish(), maxMm: z.number().min(0).max(20).nullish() }).nullish(),
    targetMm: z.number().min(0).max(20).nullish(),
    rodPitchMm: z.number().positive().max(10).nullish(),
    pedalRatio: z.number().positive().max(50).nullish(),
    previous: z.strictObject(Depths).nullish(),
    thermal: z.strictObject({ rodLengthMm: Positive, rodAlphaPerK: Alpha, bodyAlphaPerK: Alpha }).nullish(),
    linkageSlackMm: z.number().min(0).max(100).nullish(),
    rodOldMm: Positive.nullish(),
    rodNewMm: Positive.nullish(),
    turnbuckle: z
      .strictObject({ pitch1Mm: z.number().positive().max(10), pitch2Mm: z.number().positive().max(10), leftHanded: z.boolean() })
      .nullish(),
    rules: RuleOverridesSchema,
  })
  .meta({ id: 'SetupRequest' });
