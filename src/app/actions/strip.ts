'use server';

import { z } from 'zod';
import { DimsDoor } from '@/core/family/dims-door';
import { PART_KIND_NAMES } from '@/core/family/part-kind';
import { CONDITIONS } from '@/core/strip/condition';
import { ChecksDoor, FastenedDoor } from '@/core/strip/tray-door';
import { METHOD_NAMES, METHODS, STUCK_STATES, TREATMENT_RESULTS } from '@/core/strip/treatment';
import { treat } from '@/db/clean/treatments';
import { tellStep } from '@/db/strip/guide';
import { addPart, dropPart, recordPart } from '@/db/strip/tray';
import { act } from '../_server/act';
import { changeOf, Id, Note, Target } from '../_server/change-of';

const Part = z.object({
  ...Target,
  partId: Id,
  news: z.strictObject({
    kind: z.enum(PART_KIND_NAMES).optional(),
    found: z.enum(['present', 'absent']).optional(),
    condition: z.enum(CONDITIONS).nullable().optional(),
    faces: z.enum(['open', 'blind']).nullable().optional(),
    dims: DimsDoor.optional(),
    checks: ChecksDoor.optional(),
    note: z.string().max(500).optional(),
    fate: z.enum(['refitted', 'replaced', 'binned']).nullable().optional(),
    goesIn: z
      .strictObject({ piece: z.enum(['same', 'new']), faces: z.enum(['open', 'blind']).nullable() })
      .nullable()
      .optional(),
    fastened: FastenedDoor.nullable().optional(),
  }),
});

export const recordPartAction = act('bench', Part, (i, { db, person, now }) =>
  recordPart(
    db,
    changeOf(i, person, now, i.news.goesIn == null && i.news.fastened == null ? 'part-recorded' : 'part-in'),
    i.partId,
    i.news,
  ),
);

const AddPart = z.object({
  ...Target,
  partId: Id,
  kind: z.enum(PART_KIND_NAMES),
  name: z.string().trim().min(2, 'what is it?').max(60),
  qty: z.number().int().min(1).max(20),
  note: z.string().trim().max(500),
  behindId: Id.nullable(),
});

export const addPartAction = act('bench', AddPart, (i, { db, person, now }) =>
  addPart(db, changeOf(i, person, now, 'part-added', i.name), i),
);
export const dropPartAction = act('bench', z.object({ ...Target, partId: Id }), (i, { db, person, now }) =>
  dropPart(db, changeOf(i, person, now, 'part-added', 'taken off again'), i.partId),
);

const StepDoor = z.object({
  ...Target,
  stepId: z.string().min(1).max(80),
  outcome: z.enum(['done', 'absent', 'open']),
  note: Note,
  dims: DimsDoor,
});

export const tellStepAction = act('bench', StepDoor, (i, { db, person, now }) => tellStep(db, changeOf(i, person, now, 'step-ticked'), i));

const TreatmentDoor = z.object({
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
  drilling: Id.nullable().default(null),
});

export const treatAction = act('bench', TreatmentDoor, (i, { db, person, now }) =>
  treat(db, changeOf({ ...i, version: null }, person, now, 'treated', METHODS[i.method].label), i),
);
