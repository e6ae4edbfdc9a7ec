import { z } from 'zod';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { text } from '../schema/text';
import { uniqueIds } from '../schema/unique';

const Length = z.number().positive().max(10_000);
const Threads = z.array(text().min(1).max(40)).max(20);
const Outlets = z.number().int().min(0).max(20);
const MarkText = text().min(1).max(100);

/** Each length of a fitment in mm; what is absent or null is not known. */
export const FeaturesSchema = z.strictObject({
  boreMm: Length.nullish(),
  strokeMm: Length.nullish(),
  bodyLengthMm: Length.nullish(),
  studPitchMm: Length.nullish(),
  portThreads: Threads.nullish(),
  outletCount: Outlets.nullish(),
  castingMark: MarkText.nullish(),
});

const LengthRead = z.strictObject({ value: Length, u: z.number().min(0).max(100).nullish() });
export const MeasuredSchema = z.strictObject({
  boreMm: LengthRead.nullish(),
  strokeMm: LengthRead.nullish(),
  bodyLengthMm: LengthRead.nullish(),
  studPitchMm: LengthRead.nullish(),
  portThreads: Threads.nullish(),
  outletCount: Outlets.nullish(),
  castingMark: MarkText.nullish(),
});

export const IdentifyRequest = z
  .object({
    measured: MeasuredSchema,
    fitments: uniqueIds(z.array(z.strictObject({ id: text().min(1).max(100), features: FeaturesSchema })).max(2000)),
    rules: RuleOverridesSchema,
  })
  .meta({ id: 'IdentifyRequest' });
