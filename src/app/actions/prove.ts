'use server';

import { z } from 'zod';
import { NoteSeen, QueuedUnit, ReopenAfterFail, StartRun, StartStanding, StoreRun } from '@/core/prove/prove-schemas';
import { fail, ok } from '@/core/result';
import { branchOf } from '@/core/shop/branch';
import { tagOf } from '@/core/unit/unit-record';
import { loadUnit } from '@/db/engine/load-unit';
import { noteSeen, reopenAfterFail, startStanding } from '@/db/prove/proof';
import { runStepOf, startRun, storeRun } from '@/db/prove/prove';
import { leaveRigQueue, queueForRig, rigQueued } from '@/db/prove/rig-queue';
import { among } from '@/db/rack/at-branch';
import { theShop } from '@/db/shop/settings';
import { act } from '../_server/act';
import { analysed } from '../_server/analysed';
import { changeOf } from '../_server/change-of';
import { rigBranch } from '../_server/rig-branch';
import { readyRig, rigHere } from '../_server/rig-here';
import { runOnRig } from '../_server/run-on-rig';

/** Starts a step on the rig. The run belongs to this server from here on: its end is stored whoever looks. */
export const startRunAction = act('bench', StartRun, async (i, { db, person, now }) => {
  await readyRig();
  const rig = rigHere();
  if (rig.busy) return fail({ code: 'refused', reasons: [`The rig is busy with ${rig.current?.order.tag}. Queue for it.`] });
  const [{ branches }, rigAt] = [(await theShop(db)).settings, await rigBranch()];
  const [first] = await rigQueued(db, among(rigAt, branches));
  if (first !== undefined && first.unitId !== i.unitId)
    return fail({
      code: 'refused',
      reasons: [`${tagOf(first)} waits for the rig before it; take that off the queue at Rig, or prove it first.`],
    });
  const record = await loadUnit(db, i.unitId);
  if (record === undefined) return fail({ code: 'no-such-unit' });
  const at = branchOf(branches, record.unit.branch);
  if (at?.id !== rigAt?.id)
    return fail({ code: 'refused', reasons: [`${tagOf(record.unit)} is at ${at?.name}, and this rig is at ${rigAt?.name}.`] });
  const step = runStepOf(record, i.stepId);
  if (!step.ok) return step;
  // A run only adds to the unit; whether it may start is asked again when it is stored.
  const change = changeOf({ ...i, version: null }, person, now, 'run-started');
  const begun = await startRun(db, change, { runId: i.eventId, stepId: i.stepId, way: 'rig' });
  if (!begun.ok) return begun;
  const started = await runOnRig(db, { record, step: step.value, runId: i.eventId, holder: i.holder, person });
  return started.ok ? begun : started;
});

/** The hold that asks for it goes on. */
export const holdLongerAction = act('bench', z.object({}), async () =>
  rigHere().holdLonger() ? ok(null) : fail({ code: 'refused', reasons: ['No hold on the rig asks to go on.'] }),
);

/** Anyone may let the pressure down. */
export const abortRunAction = act('see', z.object({}), async (_, { person }) => {
  rigHere().abort(`let down by ${person.name}`);
  return ok(null);
});

/** A run made without the rig: read by eye beside a hand pump, or from a logger. */
export const storeRunAction = act('bench', StoreRun, (i, { db, person, now }) =>
  storeRun(db, changeOf({ ...i, version: null }, person, now, 'run-read'), { ...i, runId: i.eventId }, analysed),
);

// What was seen only adds to the unit: a run that ended beside it does not clash with it.
export const noteSeenAction = act('bench', NoteSeen, (i, { db, person, now }) =>
  noteSeen(db, changeOf({ ...i, version: null }, person, now, 'step-seen'), i),
);

export const startStandingAction = act('bench', StartStanding, (i, { db, person, now }) =>
  startStanding(db, changeOf({ ...i, version: null }, person, now, 'stands'), i),
);

/** Back to the station where what a failure points at is put right. */
export const reopenAfterFailAction = act('bench', ReopenAfterFail, (i, { db, person, now }) =>
  reopenAfterFail(db, changeOf(i, person, now, 'reopened', i.what), i.what),
);

export const queueForRigAction = act('bench', QueuedUnit, async (i, { db, person, now }) => {
  await queueForRig(db, person, i.unitId, now);
  return ok(null);
});
export const leaveRigQueueAction = act('bench', QueuedUnit, async (i, { db }) => {
  await leaveRigQueue(db, i.unitId);
  return ok(null);
});
