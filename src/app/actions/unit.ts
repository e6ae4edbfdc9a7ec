'use server';

import { z } from 'zod';
import { ok } from '@/core/result';
import { STATIONS } from '@/core/station';
import { signOff } from '@/db/unit/sign-off';
import { undoLast } from '@/db/unit/undo';
import { endWait, ringWait, startWait } from '@/db/unit/waits';
import { act } from '../_server/act';
import { changeOf, Id, Note, Target } from '../_server/change-of';

const SignOffDoor = z.object({
  ...Target,
  station: z.enum(STATIONS),
  note: Note,
  override: z.string().trim().min(3, 'say why').max(500).nullable(),
});

export const signOffAction = act('bench', SignOffDoor, (i, { db, person, now }) =>
  signOff(db, changeOf(i, person, now, i.override === null ? 'signed-off' : 'overridden', i.station), i),
);

export const undoAction = act('see', z.object(Target), (i, { db, person, now }) => undoLast(db, changeOf(i, person, now, 'undone')));

export const startWaitAction = act(
  'bench',
  z.object({
    ...Target,
    label: z.string().trim().min(1, 'what for?').max(80),
    minutes: z
      .number()
      .min(1)
      .max(60 * 24 * 60),
    ownerId: Id.nullish(),
  }),
  (i, { db, person, now }) => startWait(db, changeOf({ ...i, version: null }, person, now, 'wait-started', i.label), i),
);
export const endWaitAction = act('bench', z.object({ ...Target, timerId: Id }), (i, { db, person, now }) =>
  endWait(db, changeOf(i, person, now, 'wait-ended'), i.timerId),
);

/** A bench heard a wait end. The first one to say so rings; the others stay still. */
export const ringWaitAction = act('see', z.object({ timerId: Id }), async (i, { db, now }) =>
  ok({ rings: await ringWait(db, i.timerId, now) }),
);
