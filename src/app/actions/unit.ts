'use server';

import { ok } from '@/core/result';
import { EndWait, JustTarget, RingWait, SendToBranch, SignOff, StartWait } from '@/core/unit/unit-schemas';
import { theShop } from '@/db/shop/settings';
import { receiveAtBranch, sendToBranch } from '@/db/unit/branch';
import { signOff } from '@/db/unit/sign-off';
import { undoLast } from '@/db/unit/undo';
import { endWait, ringWait, startWait } from '@/db/unit/waits';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const signOffAction = act('bench', SignOff, (i, { db, person, now }) =>
  signOff(db, changeOf(i, person, now, i.override === null ? 'signed-off' : 'overridden', i.station), i),
);

export const undoAction = act('see', JustTarget, (i, { db, person, now }) => undoLast(db, changeOf(i, person, now, 'undone')));

export const startWaitAction = act('bench', StartWait, (i, { db, person, now }) =>
  startWait(db, changeOf({ ...i, version: null }, person, now, 'wait-started', i.label), i),
);
export const endWaitAction = act('bench', EndWait, (i, { db, person, now }) =>
  endWait(db, changeOf(i, person, now, 'wait-ended'), i.timerId),
);

export const sendToBranchAction = act('book-in', SendToBranch, async (i, { db, person, now }) => {
  const name = (await theShop(db)).settings.branches.find((b) => b.id === i.branch)?.name ?? '';
  return sendToBranch(db, changeOf(i, person, now, 'sent-to-branch', name), i.branch);
});
export const receiveAtBranchAction = act('book-in', JustTarget, (i, { db, person, now }) =>
  receiveAtBranch(db, changeOf(i, person, now, 'received')),
);

/** A bench heard a wait end. The first one to say so rings; the others stay still. */
export const ringWaitAction = act('see', RingWait, async (i, { db, now }) => ok({ rings: await ringWait(db, i.timerId, now) }));
