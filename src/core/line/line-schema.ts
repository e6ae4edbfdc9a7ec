import { z } from 'zod';
import { SEAT_NAMES } from '../quantity/thread';
import { RuleOverridesSchema } from '../rules/rule-schema';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { text } from '../schema/text';
import { FLARE_NAMES } from './flare';

const Length = z.number().positive().max(100_000);
const Thread = text().min(1).max(50);
/** Start and end. */
const both = <S extends z.ZodType>(of: S) =>
  z
    .array(of)
    .length(2, 'has two entries: of the start and of the end')
    .transform((two) => two as [z.output<S>, z.output<S>]);

const LINE_FIELDS = {
  tubeOdMm: z.number().positive().max(200),
  /** Between the points where the middle lines of the tube cross; the first and last to the finished ends. */
  legs: z.array(Length).min(1).max(100),
  bends: z
    .array(z.strictObject({ angleDeg: z.number().gt(0).lt(180), radiusMm: z.number().positive().max(10_000).nullish() }))
    .max(99)
    .nullish(),
  coils: z
    .array(
      z.strictObject({
        leg: z.number().int().min(0).max(99),
        turns: z.number().positive().max(1000),
        coreMm: z.number().positive().max(10_000),
      }),
    )
    .max(100)
    .nullish(),
  flares: both(z.enum(FLARE_NAMES)),
  ports: both(z.strictObject({ seat: z.enum(SEAT_NAMES).nullish(), thread: Thread.nullish() }).nullable()).nullish(),
  nuts: both(z.strictObject({ thread: Thread }).nullable()).nullish(),
};

/** What chapter 14 is asked, before its rules are known: what only shows with them is `lineProblems`. */
export const LineRequest = crossCheck(
  z.object({ ...LINE_FIELDS, rules: RuleOverridesSchema }).meta({ id: 'LineRequest' }),
  (value, report) => {
    const [legs, bends, coils] = ['legs', 'bends', 'coils'].map((f) => fieldOf(value, f));
    if (!Array.isArray(legs) || legs.length === 0) return;
    const n = bends == null ? 0 : Array.isArray(bends) ? bends.length : undefined;
    if (n !== undefined && n !== legs.length - 1)
      report(['bends'], `${legs.length} ${legs.length === 1 ? 'leg has' : 'legs have'} ${legs.length - 1} bends between them, not ${n}`);
    for (const [i, { leg }] of entriesOf(coils).entries())
      if (typeof leg === 'number' && leg >= legs.length) report(['coils', i, 'leg'], 'there is no such leg');
  },
);
export type LineRequest = z.output<typeof LineRequest>;
