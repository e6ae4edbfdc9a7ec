'use server';

import type { Noted } from '@/core/bench/bench-schema';
import { NoteAtBench, SaveVacuum } from '@/core/bench/bench-schemas';
import { FindForgotten, NoteTorque } from '@/core/close-up/close-up-schemas';
import type { EventKind } from '@/core/unit/event-kind';
import { findForgotten } from '@/db/close-up/forgotten';
import { noteTorque } from '@/db/close-up/torques';
import { noteAtBench, saveVacuum } from '@/db/unit/bench';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

const NOTED: { readonly [K in Noted['kind']]: EventKind } = {
  touch: 'touch-noted',
  stroked: 'stroked',
  joined: 'joined',
  'check-valve': 'tried-by-hand',
  'rod-tip': 'tried-by-hand',
  pedal: 'tried-by-hand',
  hole: 'tried-by-hand',
};
export const noteAtBenchAction = act('bench', NoteAtBench, (i, { db, person, now }) =>
  noteAtBench(db, changeOf(i, person, now, NOTED[i.data.kind], i.data.kind), i.data),
);

export const saveVacuumAction = act('bench', SaveVacuum, (i, { db, person, now }) =>
  saveVacuum(db, changeOf(i, person, now, 'tried-by-hand', `vacuum, rod ${i.rod.replace('-', ' ')}`), i),
);

export const noteTorqueAction = act('bench', NoteTorque, ({ slotId, nm, hand, source, ...i }, { db, person, now }) =>
  noteTorque(db, changeOf(i, person, now, 'torque-noted', `${nm} Nm`), { slotId, nm, hand, source }),
);

export const findForgottenAction = act('bench', FindForgotten, (i, { db, person, now }) =>
  findForgotten(db, changeOf(i, person, now, 'part-forgotten'), i.forgotten),
);
