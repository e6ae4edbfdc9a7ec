'use server';

import { z } from 'zod';
import { BenchDataDoor, VacuumSamples } from '@/core/bench/bench-door';
import { PART_KIND_NAMES } from '@/core/family/part-kind';
import { FINISH_NAMES, FINISHES } from '@/core/finish/finish';
import { GapSheetDoor } from '@/core/set/gap-door';
import type { EventKind } from '@/core/unit/event-kind';
import { findForgotten } from '@/db/close-up/forgotten';
import { noteTorque } from '@/db/close-up/torques';
import { findCured, putOnFinish } from '@/db/finish/finish';
import { type Noted, noteAtBench, saveGap, saveVacuum } from '@/db/unit/bench';
import { act } from '../_server/act';
import { changeOf, Id, Note, Target } from '../_server/change-of';

const NOTED: { readonly [K in Noted['kind']]: EventKind } = {
  touch: 'touch-noted',
  stroked: 'stroked',
  'check-valve': 'tried-by-hand',
  'rod-tip': 'tried-by-hand',
  pedal: 'tried-by-hand',
  hole: 'tried-by-hand',
};
const isNoted = (data: z.output<typeof BenchDataDoor>): data is Noted => data.kind in NOTED;
const NoteDoor = z.object({ ...Target, data: BenchDataDoor.refine(isNoted, 'is not noted by hand') });

export const noteAtBenchAction = act('bench', NoteDoor, (i, { db, person, now }) =>
  noteAtBench(db, changeOf(i, person, now, NOTED[i.data.kind], i.data.kind), i.data),
);

export const saveGapAction = act(
  'bench',
  z.object({ ...Target, way: z.enum(['depths', 'rod-play']), sheet: GapSheetDoor }),
  (i, { db, person, now }) => saveGap(db, changeOf(i, person, now, 'gap-saved'), i),
);

export const saveVacuumAction = act(
  'bench',
  z.object({ ...Target, rod: z.enum(['at-rest', 'pressed']), samples: VacuumSamples }),
  (i, { db, person, now }) => saveVacuum(db, changeOf(i, person, now, 'tried-by-hand', `vacuum, rod ${i.rod.replace('-', ' ')}`), i),
);

export const putOnFinishAction = act(
  'bench',
  z.object({
    ...Target,
    finish: z.enum(FINISH_NAMES),
    minutes: z
      .number()
      .min(1)
      .max(60 * 24 * 60),
    plugs: z.number().int().min(0).max(60),
    note: Note,
  }),
  (i, { db, person, now }) => putOnFinish(db, changeOf(i, person, now, 'finish-started', FINISHES[i.finish].label), i),
);

export const findCuredAction = act(
  'bench',
  z.object({ ...Target, finishId: Id, plugsOut: z.number().int().min(0).max(60) }),
  (i, { db, person, now }) => findCured(db, changeOf(i, person, now, 'finish-cured'), i),
);

export const noteTorqueAction = act(
  'bench',
  z.object({
    ...Target,
    slotId: Id,
    nm: z.number().gt(0, 'must be above 0 Nm').max(500),
    hand: z.enum(['right', 'left']),
    source: z.string().trim().min(3, 'which manual, and where in it?').max(200),
  }),
  ({ slotId, nm, hand, source, ...i }, { db, person, now }) =>
    noteTorque(db, changeOf(i, person, now, 'torque-noted', `${nm} Nm`), { slotId, nm, hand, source }),
);

const ForgottenDoor = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('listed'), partId: Id }),
  z.strictObject({
    what: z.literal('unlisted'),
    partId: Id,
    kind: z.enum(PART_KIND_NAMES),
    name: z.string().trim().min(2, 'what is it?').max(60),
    behindId: Id.nullable(),
  }),
]);

export const findForgottenAction = act('bench', z.object({ ...Target, forgotten: ForgottenDoor }), (i, { db, person, now }) =>
  findForgotten(db, changeOf(i, person, now, 'part-forgotten'), i.forgotten),
);
