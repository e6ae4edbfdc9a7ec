'use server';

import { z } from 'zod';
import { UNIT_KINDS } from '@/core/family/family-name';
import { StepsDoor } from '@/core/prove/programme/step-door';
import { saveProgramme } from '@/db/prove/save-programme';
import { act } from '../_server/act';

const Entry = z.object({
  family: z.enum(UNIT_KINDS),
  after: z.number().int().min(0),
  note: z.string().trim().min(3, 'say why it changes').max(300),
  steps: StepsDoor,
});

/** Saves a version of a family's programme; one that cannot be worked by is refused, with every reason. */
export const saveProgrammeAction = act('rules', Entry, (i, { db, person, now }) => saveProgramme(db, person, now, i));
