import { z } from 'zod';
import { FAMILIES } from '../family/families';
import { UNIT_KINDS } from '../family/family-name';
import { MATERIALS } from '../family/material';
import { crossCheck, fieldOf } from '../schema/cross-check';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { Version, when } from '../schema/when';
import { CAUSE_NAMES, TEST_NAMES } from './cause';
import { COMPLAINT_NAMES } from './complaint';
import { LikelihoodsDoor } from './likelihoods';

export const BookIn = crossCheck(
  z.object({
    unitId: Id,
    customer: text().trim().min(1, 'who brings it?').max(120),
    phone: text().trim().max(40),
    machine: text().trim().min(1, 'what is it off?').max(120),
    family: z.enum(UNIT_KINDS),
    variantId: Id.nullish(),
    position: text().trim().max(60),
    nominalMm: z.number('enter a bore, as 22.2 or 7/8').min(8, 'a bore is 8 to 80 mm').max(80, 'a bore is 8 to 80 mm').nullable(),
    material: z.enum(MATERIALS),
    complaints: z.array(z.enum(COMPLAINT_NAMES)).max(12),
    complaintText: text().trim().max(500),
    identityMarks: text().trim().max(200),
    comebackTag: text().trim().max(20).default(''),
    promisedAt: when('when is it promised?'),
    tests: z
      .array(z.object({ name: z.enum(TEST_NAMES), answer: z.enum(['yes', 'no']) }))
      .max(40)
      .default([]),
  }),
  (value, report) => {
    const family = UNIT_KINDS.find((f) => f === fieldOf(value, 'family'));
    if (fieldOf(value, 'nominalMm') === null && (family === undefined || FAMILIES[family].bore !== 'none'))
      report(['nominalMm'], 'enter a bore, as 22.2 or 7/8');
  },
);
export type BookIn = Sends<typeof BookIn>;
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
  likelihoods: LikelihoodsDoor,
});
export type SaveCauses = Sends<typeof SaveCauses>;
