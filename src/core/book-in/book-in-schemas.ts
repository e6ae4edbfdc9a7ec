import { z } from 'zod';
import { FAMILIES } from '../family/families';
import { UNIT_KINDS } from '../family/family-name';
import { MATERIALS } from '../family/material';
import { hasPots, MOST_POTS } from '../family/pots';
import { crossCheck, fieldOf } from '../schema/cross-check';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { Version, when } from '../schema/when';
import { BEFORE_NAMES } from './before';
import { CAUSE_NAMES } from './cause';
import { TEST_NAMES } from './cause-test';
import { COMPLAINT_NAMES } from './complaint';
import { LikelihoodsSchema } from './likelihoods';

const BoreMm = z.number('enter a bore, as 22.2 or 7/8').min(8, 'a bore is 8 to 80 mm').max(80, 'a bore is 8 to 80 mm');
/** What is entered at the counter, and can be corrected there. */
const ENTERED = {
  customer: text().trim().min(1, 'who brings it?').max(120),
  phone: text().trim().max(40),
  machine: text().trim().min(1, 'what is it off?').max(120),
  family: z.enum(UNIT_KINDS),
  variantId: Id.nullish(),
  position: text().trim().max(60),
  nominalMm: BoreMm.nullable(),
  /** Of a second and third pot. */
  morePotsMm: z
    .array(BoreMm)
    .max(MOST_POTS - 1)
    .default([]),
  material: z.enum(MATERIALS),
  complaints: z.array(z.enum(COMPLAINT_NAMES)).max(COMPLAINT_NAMES.length),
  complaintText: text().trim().max(500),
  before: z.array(z.enum(BEFORE_NAMES)).max(BEFORE_NAMES.length).default([]),
  identityMarks: text().trim().max(200),
  promisedAt: when('when is it promised?'),
};
const withItsBore = <S extends z.ZodObject>(schema: S): S =>
  crossCheck(schema, (value, report) => {
    const family = UNIT_KINDS.find((f) => f === fieldOf(value, 'family'));
    if (fieldOf(value, 'nominalMm') === null && (family === undefined || FAMILIES[family].bore !== 'none'))
      report(['nominalMm'], 'enter a bore, as 22.2 or 7/8');
    const more = fieldOf(value, 'morePotsMm');
    if (Array.isArray(more) && more.length > 0 && family !== undefined && !hasPots(FAMILIES[family]))
      report(['morePotsMm'], 'only a caliper half has more than one pot');
  });

export const BookIn = withItsBore(
  z.object({
    unitId: Id,
    ...ENTERED,
    comebackTag: text().trim().max(20).default(''),
    /** A unit that came in with it, off the same machine: both are one job. */
    withUnitId: Id.nullable().default(null),
    /** By when the plan has it ready at 9 in 10. */
    heldAt: when('when is it ready?').nullable().default(null),
    tests: z
      .array(z.object({ name: z.enum(TEST_NAMES), answer: z.enum(['yes', 'no']) }))
      .max(40)
      .default([]),
  }),
);
export type BookIn = Sends<typeof BookIn>;
/** What was entered, put right. */
export const Correct = withItsBore(z.object({ ...Target, ...ENTERED }));
export type Correct = Sends<typeof Correct>;
const Answer = z.enum(['yes', 'no']).nullable();
/** What a test said, or what a unit's trouble was; null takes it back. */
export const Find = z.discriminatedUnion('about', [
  z.object({ ...Target, about: z.literal('test'), name: z.enum(TEST_NAMES), answer: Answer }),
  z.object({ ...Target, about: z.literal('cause'), name: z.enum(CAUSE_NAMES), answer: Answer }),
]);
export type Find = Sends<typeof Find>;
export const SaveCauses = z.object({
  after: Version,
  note: text().trim().min(3, 'say why').max(300),
  likelihoods: LikelihoodsSchema,
});
export type SaveCauses = Sends<typeof SaveCauses>;
