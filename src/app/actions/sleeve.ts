'use server';

import { BackFromSleeving, SendOut } from '@/core/sleeve/sleeve-schemas';
import { backFromSleeving, sendOut } from '@/db/sleeve/sleeve';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const sendOutAction = act('bench', SendOut, (i, { db, person, now }) => {
  const { eventId: _, unitId: __, version: ___, ...sent } = i;
  return sendOut(db, changeOf(i, person, now, 'sent-out', sent.shop), sent);
});

export const backFromSleevingAction = act('bench', BackFromSleeving, (i, { db, person, now }) =>
  backFromSleeving(db, changeOf(i, person, now, 'bore-changed', i.note), i.note),
);
