import { z } from 'zod';
import { UNIT_KINDS } from '../../family/family-name';
import type { Sends } from '../../schema/sends';
import { text } from '../../schema/text';
import { Version } from '../../schema/when';
import { StepsSchema } from './step-schema';

export const SaveProgramme = z.object({
  family: z.enum(UNIT_KINDS),
  after: Version,
  note: text().trim().min(3, 'say why it changes').max(300),
  steps: StepsSchema,
});
export type SaveProgramme = Sends<typeof SaveProgramme>;
