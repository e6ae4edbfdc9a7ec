'use server';

import { z } from 'zod';
import { fail, ok } from '@/core/result';
import { tagOf } from '@/core/unit/unit-record';
import { loadUnit } from '@/db/load-unit';
import { rulesInForce } from '@/db/rules';
import { endRun, startRun } from '@/db/stations/prove';
import { theRig } from '@/ports/rig-run';
import { act } from '../_server/act';
import { changeOf, Target } from '../_server/change-of';

const RunDoor = z.object({
  ...Target,
  targetBar: z.number().min(1).max(200),
  holdS: z.number().min(15).max(1800),
  shield: z.literal(true, 'shut the shield first'),
});

/** Starts a hold on the rig. The run belongs to this server from here on: its end is stored whoever looks. */
export const startRunAction = act('bench', RunDoor, async (i, { db, person, now }) => {
  const rig = theRig();
  if (rig.busy) return fail({ code: 'refused', reasons: [`The rig is busy with ${rig.current?.order.tag}.`] });
  const record = await loadUnit(db, i.unitId);
  if (record === undefined) return fail({ code: 'no-such-unit' });
  // A run only adds to the unit; whether it may start is asked again when it is stored.
  const begun = await startRun(db, changeOf({ ...i, version: null }, person, now, 'run-started'), {
    runId: i.eventId,
    targetBar: i.targetBar,
    holdS: i.holdS,
  });
  if (!begun.ok) return begun;
  const rules = await rulesInForce(db);
  const order = { runId: i.eventId, unitId: i.unitId, tag: tagOf(record.unit), by: person.name, targetBar: i.targetBar, holdS: i.holdS };
  const started = rig.start(order, rules.rules, (run) => {
    const change = changeOf({ eventId: `${i.eventId}-end`, unitId: i.unitId, version: null }, person, Date.now(), 'run-ended', run.because);
    void endRun(db, change, {
      runId: i.eventId,
      rig: run.rig,
      state: run.state as 'finished',
      because: run.because,
      samples: run.samples,
      analysis: run.analysis,
    }).catch(console.error);
  });
  if (started.ok) return begun;
  const because = `the rig was busy with ${started.error.tag}`;
  const change = changeOf({ eventId: `${i.eventId}-end`, unitId: i.unitId, version: null }, person, now, 'run-ended', because);
  await endRun(db, change, { runId: i.eventId, rig: '', state: 'broken', because, samples: [], analysis: null });
  return fail({ code: 'refused', reasons: [`The rig is busy with ${started.error.tag}.`] });
});

/** The hold that asks for it goes on. */
export const holdLongerAction = act('bench', z.object({}), async () =>
  theRig().holdLonger() ? ok(null) : fail({ code: 'refused', reasons: ['No hold on the rig asks to go on.'] }),
);

/** Anyone may let the pressure down. */
export const abortRunAction = act('see', z.object({}), async (_, { person }) => {
  theRig().abort(`let down by ${person.name}`);
  return ok(null);
});
