import { z } from 'zod';
import { SEAT_NAMES } from '../quantity/thread';
import type { Query } from '../schema/sheet';
import { FLARE_NAMES } from './flare';
import { LineRequest } from './line-schema';
import { FIRST_LINE, type LineSheet, lineQuestion } from './line-sheet';

const EndSchema = z.object({
  flare: z.enum(FLARE_NAMES),
  seat: z.enum(SEAT_NAMES).nullable(),
  port: z.string().max(50),
  nut: z.string().max(50),
});
/** The sheet as an address carries it. */
const StoredSheet = z
  .object({
    tubeOdMm: z.number(),
    legs: z.array(z.number()),
    bends: z.array(z.object({ angleDeg: z.number(), radiusMm: z.number().nullable(), turn: z.enum(['left', 'right']) })),
    coils: z.array(z.object({ leg: z.number(), turns: z.number(), coreMm: z.number() })),
    ends: z.tuple([EndSchema, EndSchema]),
  })
  .refine((s) => LineRequest.safeParse(lineQuestion(s)).success);

/** The sheet of an address; one to start from where it carries none that can be read. */
export const lineSheetOf = (query: Query): LineSheet => {
  if (query.line === undefined) return FIRST_LINE;
  try {
    return StoredSheet.safeParse(JSON.parse(query.line)).data ?? FIRST_LINE;
  } catch {
    return FIRST_LINE;
  }
};
