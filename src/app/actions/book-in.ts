'use server';

import { z } from 'zod';
import { CAUSE_NAMES, CAUSES, TEST_NAMES, TESTS } from '@/core/book-in/cause';
import { COMPLAINT_NAMES } from '@/core/book-in/complaint';
import { LikelihoodsDoor } from '@/core/book-in/likelihoods';
import { FAMILIES } from '@/core/family/families';
import { UNIT_KINDS } from '@/core/family/family-name';
import { MATERIALS } from '@/core/family/material';
import { fail, ok } from '@/core/result';
import { bookIn } from '@/db/book-in/book-in';
import { find, saveCauseModel } from '@/db/book-in/findings';
import { variantById } from '@/db/family/variants';
import { firstLife } from '@/db/unit/lives';
import { act } from '../_server/act';
import { changeOf, Id, Target } from '../_server/change-of';

const BookIn = z
  .object({
    unitId: Id,
    customer: z.string().trim().min(1, 'who brings it?').max(120),
    phone: z.string().trim().max(40),
    machine: z.string().trim().min(1, 'what is it off?').max(120),
    family: z.enum(UNIT_KINDS),
    variantId: Id.nullish(),
    position: z.string().trim().max(60),
    nominalMm: z.number('enter a bore, as 22.2 or 7/8').min(8, 'a bore is 8 to 80 mm').max(80, 'a bore is 8 to 80 mm').nullable(),
    material: z.enum(MATERIALS),
    complaints: z.array(z.enum(COMPLAINT_NAMES)).max(12),
    complaintText: z.string().trim().max(500),
    identityMarks: z.string().trim().max(200),
    comebackTag: z.string().trim().max(20).default(''),
    promisedAt: z.number('when is it promised?').int(),
    tests: z
      .array(z.object({ name: z.enum(TEST_NAMES), answer: z.enum(['yes', 'no']) }))
      .max(40)
      .default([]),
  })
  .refine((b) => b.nominalMm !== null || FAMILIES[b.family]?.bore === 'none', {
    path: ['nominalMm'],
    message: 'enter a bore, as 22.2 or 7/8',
    // Also when another field is wrong: everything wrong is said at once.
    when: () => true,
  });

export const bookInAction = act('book-in', BookIn, async (b, { db, person, now }) => {
  const variant = b.variantId == null ? null : await variantById(db, b.variantId);
  if (variant === undefined || (variant !== null && variant.variant.base !== b.family))
    return fail({ code: 'refused', reasons: ['That variant is not there any more: choose the family again.'] });
  const first = await firstLife(db, b.comebackTag, b.family);
  return first.ok ? ok(await bookIn(db, person, now, { ...b, variant, comesBackFrom: first.value })) : first;
});

const Answer = z.enum(['yes', 'no']).nullable();
const FindingDoor = z.discriminatedUnion('about', [
  z.object({ ...Target, about: z.literal('test'), name: z.enum(TEST_NAMES), answer: Answer }),
  z.object({ ...Target, about: z.literal('cause'), name: z.enum(CAUSE_NAMES), answer: Answer }),
]);

/** Notes what a test said, or what a unit's trouble was. */
export const findAction = act('book-in', FindingDoor, (i, { db, person, now }) =>
  find(
    db,
    changeOf(i, person, now, 'found', `${i.about === 'cause' ? CAUSES[i.name].label : TESTS[i.name]} ${i.answer ?? 'taken back'}`),
    i,
  ),
);

const CausesDoor = z.object({
  after: z.number().int().nonnegative(),
  note: z.string().trim().min(3, 'say why').max(300),
  likelihoods: LikelihoodsDoor,
});

export const saveCausesAction = act('rules', CausesDoor, async (i, { db, person, now }) => {
  const saved = await saveCauseModel(db, person, now, i);
  return saved === undefined
    ? fail({ code: 'refused', reasons: ['Somebody else saved these numbers meanwhile: load the page again.'] })
    : ok(saved);
});
