'use server';

import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { doneBy } from '@/core/plan/day-facts';
import { NewPin, PinId } from '@/core/plan/pin';
import { NewTime } from '@/core/plan/times';
import { NewDraft } from '@/core/plan/what-if';
import { fail, ok } from '@/core/result';
import { Id } from '@/core/schema/target';
import { text } from '@/core/schema/text';
import { dropDraft, keepDraft } from '@/db/plan/drafts';
import { addPin, endPin } from '@/db/plan/pins';
import { sayTime } from '@/db/plan/taught';
import { sayNotDone } from '@/pool/pool';
import { act } from '../_server/act';
import { dayLately, planBranch, takePlan } from '../_server/day-now';

/** This unit first, this one by that person, or not before. */
export const pinAction = act('plan', NewPin, async (pin, { db, person, now }) => {
  const idle = await sayIdle(pin, person.branch ?? null);
  if (idle !== undefined) return fail({ code: 'refused', reasons: [idle] });
  const added = await addPin(db, { id: randomUUID(), personId: person.id, at: now }, pin);
  return added.ok ? ok(null) : fail(added.error);
});
/** Why a pin to a person would do nothing; undefined where it does something, or where that cannot be told. */
const sayIdle = async (pin: NewPin, branch: string | null): Promise<string | undefined> => {
  if (pin.kind !== 'person') return undefined;
  const facts = await dayLately(await planBranch(branch));
  const unit = facts?.units.find((u) => u.id === pin.unitId);
  if (facts === undefined || unit === undefined) return undefined;
  const doer = facts.people.find((p) => p.id === pin.personId);
  if (doer === undefined) return 'Whoever it is pinned to does not work here: choose somebody else.';
  return doneBy(doer, unit.ops).length > 0
    ? undefined
    : `${doer.name} does nothing of what ${unit.tag} has ahead of it: choose somebody else.`;
};
export const unpinAction = act('plan', PinId, async ({ id }, { db, person, now }) => {
  await endPin(db, { personId: person.id, at: now }, id);
  return ok(null);
});

const Offered = z.object({
  ops: z
    .array(z.object({ unitId: text().min(1).max(100), opId: text().min(1).max(100), personId: text().max(100).nullable() }))
    .max(30_000),
});
/** A better plan that a page found by looking further: who does what, in which order. The server times it itself, and takes it only where it is better. */
export const offerPlanAction = act('plan', Offered, async ({ ops }, { person }) => {
  const taken = await takePlan(
    await planBranch(person.branch ?? null),
    ops.map((op) => ({ ...op, startMin: 0, endMin: 0 })),
  );
  return taken.ok ? ok(taken.value) : fail({ code: 'refused', reasons: [sayNotDone(taken.error)] });
});

export const keepDraftAction = act('see-shop', NewDraft, async (draft, { db, person, now }) => {
  await keepDraft(db, { id: randomUUID(), personId: person.id, at: now }, draft);
  return ok(null);
});
export const dropDraftAction = act('see-shop', z.object({ id: Id }), async ({ id }, { db }) => {
  await dropDraft(db, id);
  return ok(null);
});

/** How long a station takes, as the shop says it. */
export const sayTimeAction = act('rules', NewTime, async (time, { db, person, now }) => {
  await sayTime(db, { personId: person.id, at: now }, time);
  return ok(null);
});
