import { z } from 'zod';
import { CHARGES } from './price';

const Cents = z.number().int().min(-1e12).max(1e12);

/** Charges as they are kept with a quote or a bill. */
export const ChargesSchema = z.object({
  lines: z.array(
    z.object({
      charge: z.enum(CHARGES),
      words: z.string(),
      how: z.string(),
      cents: Cents,
      minutes: z.number().optional(),
      costCents: Cents.optional(),
    }),
  ),
  net: Cents,
  taxes: z.array(z.object({ name: z.string(), pct: z.number().min(0).max(1000), on: Cents, cents: Cents })),
  rounding: Cents,
  total: Cents,
});
