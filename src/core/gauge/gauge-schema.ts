import { z } from 'zod';
import { MATERIALS } from '../family/material';
import { RuleOverridesSchema } from '../rules/rule-schema';

/** Lengths, diameters and angles that a cylinder of a brake or clutch can have, and then some. */
export const DiaMm = z.number().gt(0).max(1000);
export const XMm = z.number().min(-1000).max(10_000);
export const ClockDeg = z.number().min(-3600).max(3600);
export const TempC = z.number().min(-80).max(250);

export const ReadingSchema = z.strictObject({ xMm: XMm, clockDeg: ClockDeg, diaMm: DiaMm });

/** What both `gauge` and `judge` ask about the gauging. */
export const gaugingShape = {
  material: z.enum(MATERIALS),
  bodyTempC: TempC.nullish(),
  gaugeTempC: TempC.nullish(),
  gaugeRepeatabilityMm: z.number().min(0).max(1).nullish(),
  gaugeCalibrationMm: z.number().min(0).max(1).nullish(),
  rules: RuleOverridesSchema,
};

export const GaugeRequest = z
  .object({ readings: z.array(ReadingSchema).min(1).max(5000), nominalMm: DiaMm.nullish(), ...gaugingShape })
  .meta({ id: 'GaugeRequest' });
