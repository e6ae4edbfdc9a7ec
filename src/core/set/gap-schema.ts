import { z } from 'zod';
import { GAP_FIELDS, type GapField } from './gap-sheet';

const Figure = z.number().min(-5000).max(5000).optional();

/** What was entered on a worksheet, as it is kept. */
export const GapSheetSchema = z.strictObject({
  ...(Object.fromEntries(GAP_FIELDS.map((f) => [f, Figure])) as { readonly [F in GapField]: typeof Figure }),
  oneLeftHanded: z.boolean().optional(),
});

export const GapRecordSchema = z.strictObject({
  way: z.enum(['depths', 'rod-play']),
  sheet: GapSheetSchema,
  gapMm: z.number(),
  expandedUncertaintyMm: z.number(),
  verdict: z.enum(['binding', 'too-tight', 'too-loose', 'measure-again', 'ok']),
  windowMinMm: z.number(),
  windowMaxMm: z.number(),
});
