'use server';

import { BoreCut, LogPass } from '@/core/hone/hone-schemas';
import { logPass } from '@/db/hone/hone';
import { boreCut } from '@/db/unit/sign-off';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const logPassAction = act('bench', LogPass, (i, { db, person, now }) => {
  const { eventId: _, unitId: __, version: ___, ...pass } = i;
  const told = `${pass.strokes} strokes at ${pass.grit}`;
  return logPass(db, changeOf({ ...i, version: null }, person, now, 'pass-logged', told), pass);
});

export const boreCutAction = act('bench', BoreCut, (i, { db, person, now }) =>
  boreCut(db, changeOf(i, person, now, 'bore-changed', i.note), i.note),
);
