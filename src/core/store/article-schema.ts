import { z } from 'zod';
import { DimsSchema } from '../family/dims-schema';
import { UNIT_KINDS } from '../family/family-name';
import { PART_KIND_NAMES } from '../family/part-kind';
import { FeaturesSchema } from '../identify/identify-schema';
import { text } from '../schema/text';

const KitNumber = text().trim().min(1, 'what is its number?').max(60);
const Year = z.number().int().min(1900).max(2100).nullable();

/** A kit or sundry as a person enters it. */
export const EnteredArticle = z.strictObject({
  number: KitNumber,
  type: z.enum(['kit', 'sundry']),
  name: text().trim().min(2, 'what is it called?').max(120),
  price: z.number().min(0).max(1e7),
  leadDays: z.number().int().min(0).max(3650).nullable(),
  note: text().trim().max(500),
  supersededBy: text().trim().min(1).max(60).nullable(),
  items: z
    .array(
      z.strictObject({
        kind: z.enum(PART_KIND_NAMES),
        name: text().trim().min(2, 'what is it?').max(80),
        qty: z.number().int().min(1).max(1000),
        dims: DimsSchema,
      }),
    )
    .min(1, 'what is in it?')
    .max(200),
});
export type EnteredArticle = z.output<typeof EnteredArticle>;

/** A fitment as a person enters it. */
export const EnteredFitment = z
  .strictObject({
    id: text().trim().min(1).max(100),
    maker: text().trim().min(1, 'whose machine is it?').max(80),
    machine: text().trim().min(1, 'which machine is it?').max(120),
    yearFrom: Year,
    yearTo: Year,
    family: z.enum(UNIT_KINDS),
    position: text().trim().min(1, 'where on it?').max(80),
    features: FeaturesSchema,
    kits: z.array(KitNumber).max(50),
    note: text().trim().max(500),
  })
  .refine((f) => f.yearFrom === null || f.yearTo === null || f.yearFrom <= f.yearTo, {
    path: ['yearTo'],
    message: 'is before the first year',
  });
