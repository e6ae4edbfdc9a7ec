import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';

const Dia = z.number().positive().max(500);

export const HydraulicsRequest = z
  .object({
    pedalForceN: z.number().min(0).max(100_000),
    pedalRatio: z.number().positive().max(50),
    boostFactor: z.number().positive().max(100).nullish(),
    masterDiaMm: Dia,
    masterStrokeMm: z.number().positive().max(1000),
    cylinders: uniqueIds(
      z
        .array(
          z.strictObject({
            id: text().min(1).max(100),
            diaMm: Dia,
            count: z.number().int().min(1).max(100),
            travelMm: z.number().min(0).max(500),
          }),
        )
        .max(100),
    ),
    hoseMlPerMPa: z.number().min(0).max(1000).nullish(),
    systemVolumeMl: z.number().min(0).max(1e6).nullish(),
    bulkModulusMPa: z.number().positive().max(1e5).nullish(),
    airMl: z.number().min(0).max(1e4).nullish(),
    options: z.array(Dia).max(200).nullish(),
    rules: RuleOverridesSchema,
  })
  .meta({ id: 'HydraulicsRequest' });
