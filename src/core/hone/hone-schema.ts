import { z } from 'zod';
import { MATERIALS } from '../family/material';
import { DiaMm } from '../gauge/gauge-schema';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { GRITS } from './cutting-rate';

export const Rpm = z.number().gt(0).max(20_000);
export const StrokesPerMin = z.number().gt(0).max(2000);
export const GritSchema = z.literal(GRITS, `a grit is one of ${GRITS.join(', ')}`);

export const HonePassSchema = z.strictObject({
  grit: GritSchema,
  strokes: z.number().min(0).max(100_000),
  strokesPerMin: StrokesPerMin,
  rpm: Rpm,
  beforeMm: DiaMm,
  afterMm: DiaMm,
});

export const HonePlanRequest = z
  .object({
    startDiaMm: DiaMm,
    targetDiaMm: DiaMm,
    limitDiaMm: DiaMm,
    material: z.enum(MATERIALS),
    boreLengthMm: z.number().gt(0).max(10_000),
    blindEnd: z.boolean(),
    reliefMm: z.number().min(0).max(1000).nullish(),
    stoneLengthMm: z.number().gt(0).max(1000),
    rpm: Rpm,
    strokesPerMin: StrokesPerMin.nullish(),
    hatchDeg: z.number().gt(0).lt(180).nullish(),
    finish: z.enum(['cross-hatch', 'fine']),
    passes: z.array(HonePassSchema).max(5000).nullish(),
    rules: RuleOverridesSchema,
  })
  .meta({ id: 'HonePlanRequest' });
