import { z } from 'zod';
import { GeometrySchema } from '../family/geometry-schema';
import type { Sends } from '../schema/sends';
import { Id } from '../schema/target';
import { text } from '../schema/text';

const Line = text().max(2000);
const Lines = z.array(Line).max(200);
const Place = z.number().int().min(0).max(200);

/** A case of the shop’s own as it is kept: an exercise made of a record. */
export const CaseSchema = z.object({
  asks: Line,
  facts: Lines,
  picture: z
    .discriminatedUnion('kind', [
      z.object({
        kind: z.literal('map'),
        geometry: GeometrySchema,
        marks: z
          .array(z.object({ name: text().max(100), x0Mm: z.number(), x1Mm: z.number(), clock0Deg: z.number(), clock1Deg: z.number() }))
          .max(1000),
      }),
      z.object({ kind: z.literal('trace'), points: z.array(z.object({ tS: z.number(), pBar: z.number() })).max(1000) }),
    ])
    .nullable(),
  form: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('choose'), options: Lines }),
    z.object({ kind: z.literal('pick'), items: Lines }),
  ]),
  right: z.union([Place, z.array(Place).max(200)]),
  because: Lines,
});
export type Case = z.output<typeof CaseSchema>;

/** Makes a case of a unit that left. @see askables for `of` */
export const MakeCase = z.strictObject({
  id: Id,
  unitId: Id,
  of: Id,
  photoIds: z.array(Id).max(20),
  words: text().trim().min(3, 'say what there is to learn from it').max(1000),
});
export type MakeCase = Sends<typeof MakeCase>;
export type CaseToMake = z.output<typeof MakeCase>;
export const EndCase = z.strictObject({ id: Id });
export type EndCase = Sends<typeof EndCase>;
export const AnswerCase = z.strictObject({ id: Id, caseId: Id, answer: z.union([Place, z.array(Place).max(200)]) });
export type AnswerCase = Sends<typeof AnswerCase>;
