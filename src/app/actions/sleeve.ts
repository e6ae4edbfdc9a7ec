'use server';

import { BackFromSleeving, SendOut } from '@/core/sleeve/sleeve-doors';
import { backFromSleeving, sendOut } from '@/db/sleeve/sleeve';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const sendOutAction = act('bench', SendOut, ({ eventId, unitId, version, ...sent }, { db, person, now }) =>
  sendOut(db, changeOf({ eventId, unitId, version }, person, now, 'sent-out', sent.shop), sent),
);

export const backFromSleevingAction = act('bench', BackFromSleeving, (i, { db, person, now }) =>
  backFromSleeving(db, changeOf(i, person, now, 'bore-changed', i.note), i.note),
);
