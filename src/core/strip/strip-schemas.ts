import { z } from 'zod';
import { DimsSchema } from '../family/dims-schema';
import { PART_KIND_NAMES } from '../family/part-kind';
import type { Sends } from '../schema/sends';
import { Id, Note, Target } from '../schema/target';
import { text } from '../schema/text';
import { CONDITIONS } from './condition';
import { ChecksSchema, FastenedSchema } from './tray-schema';
import { METHOD_NAMES, STUCK_STATES, TREATMENT_RESULTS } from './treatment';

export const RecordPart = z.object({
  ...Target,
  partId: Id,
  news: z.strictObject({
    kind: z.enum(PART_KIND_NAMES).optional(),
    found: z.enum(['present', 'absent']).optional(),
    condition: z.enum(CONDITIONS).nullable().optional(),
    faces: z.enum(['open', 'blind']).nullable().optional(),
    dims: DimsSchema.optional(),
    checks: ChecksSchema.optional(),
    note: text().max(500).optional(),
    fate: z.enum(['refitted', 'replaced', 'binned']).nullable().optional(),
    goesIn: z
      .strictObject({ piece: z.enum(['same', 'new']), faces: z.enum(['open', 'blind']).nullable() })
      .nullable()
      .optional(),
    fastened: FastenedSchema.nullable().optional(),
    allow: text().trim().min(3, 'say why it goes back all the same').max(200).optional(),
  }),
});
export type RecordPart = Sends<typeof RecordPart>;
/** Several parts in one word: they came out as one expects, or the unit has none such. */
export const RecordRest = z.object({ ...Target, partIds: z.array(Id).min(1).max(60), as: z.enum(['usual', 'none']) });
export type RecordRest = Sends<typeof RecordRest>;
export const AddPart = z.object({
  ...Target,
  partId: Id,
  kind: z.enum(PART_KIND_NAMES),
  name: text().trim().min(2, 'what is it?').max(60),
  qty: z.number().int().min(1).max(20),
  note: text().trim().max(500),
  behindId: Id.nullable(),
});
export type AddPart = Sends<typeof AddPart>;
export const DropPart = z.object({ ...Target, partId: Id });
export type DropPart = Sends<typeof DropPart>;
export const TellStep = z.object({
  ...Target,
  stepId: text().min(1).max(80),
  outcome: z.enum(['done', 'absent', 'open']),
  note: Note,
  dims: DimsSchema,
});
export type TellStep = Sends<typeof TellStep>;
export const Treat = z.object({
  ...Target,
  method: z.enum(METHOD_NAMES),
  state: z.enum(STUCK_STATES).nullable(),
  pressureBar: z.number().min(0).max(1000).nullable(),
  minutes: z
    .number()
    .min(1)
    .max(60 * 24 * 60)
    .nullable(),
  result: z.enum(TREATMENT_RESULTS),
  note: Note,
  drilling: Id.nullable(),
});
export type Treat = Sends<typeof Treat>;
