import { setTimeout } from 'node:timers/promises';
import type { Schedule, ScheduledOp } from '@/core/day/schedule';
import type { ScheduleRequest } from '@/core/day/schedule-schema';
import { type DayFacts, dayRequest, type LeftOut } from '@/core/plan/day-facts';
import { planOf } from '@/core/plan/day-plan';
import { calendarWork } from '@/core/plan/day-sheet';
import { presuming } from '@/core/plan/presumed';
import { ok, type Result } from '@/core/result';
import { type Branch, branchOf } from '@/core/shop/branch';
import type { CalendarEntry } from '@/core/unit/calendar';
import { type Db, shopDb } from '@/db/engine/connection';
import { staff } from '@/db/people/people';
import { dayFacts } from '@/db/plan/day-facts';
import { dayStamp } from '@/db/plan/day-stamp';
import { among } from '@/db/rack/at-branch';
import { rulesInForce } from '@/db/rules/rules';
import { inPool, type NotDone } from '@/pool/pool';
import { shopNow } from './shop-now';

/** The plan that people go by, with what it is made of. Made at `facts.now`. */
export type DayNow = {
  readonly facts: DayFacts;
  readonly request: ScheduleRequest;
  readonly schedule: Schedule;
  readonly leftOut: readonly LeftOut[];
  /** Of the shop as it was before: the one that is so now is still being made. */
  readonly being?: 'made again';
};
type Kept = DayNow & { readonly stamp: string };

/** Time alone moves what is planned, too, where nobody does what it says: a plan is made again after so long, ms. */
const OLD_MS = 10 * 60_000;
/** A page waits so long for a new plan; then it shows the one before, and comes back, ms. */
const PATIENCE_MS = 400;
/** A plan that is shown while another is made is no older, ms. */
const LATELY_MS = 3_600_000;
/** Plans of a branch that are made at once: of what was so before, and of what is so now. */
const AT_ONCE = 2;

declare global {
  // One plan of a branch a process, also when a bundler makes two copies of this module.
  var eddrinPlans:
    | Map<string, { kept?: Kept; making: readonly { readonly stamp: string; readonly plan: Promise<Result<Kept, NotDone>> }[] }>
    | undefined;
}
const placeOf = (branch: Branch | undefined) => {
  globalThis.eddrinPlans ??= new Map();
  const known = globalThis.eddrinPlans.get(branch?.id ?? '') ?? { making: [] };
  globalThis.eddrinPlans.set(branch?.id ?? '', known);
  return known;
};

/** The branch that a person's plan is of. */
export const planBranch = async (id: string | null): Promise<Branch | undefined> => branchOf((await shopNow()).settings.branches, id);

/**
 * The plan of a branch: the one there is while nothing that bears on it has changed, else a new one that keeps to it where it can. Where
 * that takes long because the server is busy, the one before.
 */
export async function dayNow(branch: Branch | undefined, now = Date.now()): Promise<Result<DayNow, NotDone>> {
  const { kept } = placeOf(branch);
  const plan = upToDate(branch, now);
  if (kept === undefined || now - kept.facts.now > LATELY_MS) return plan;
  return Promise.race([plan, setTimeout(PATIENCE_MS, ok({ ...kept, being: 'made again' as const }), { ref: false })]);
}

const upToDate = async (branch: Branch | undefined, now: number): Promise<Result<DayNow, NotDone>> => {
  const [db, { settings, version }, { rules, version: rulesVersion }] = await Promise.all([
    shopDb(),
    shopNow(),
    shopDb().then(rulesInForce),
  ]);
  const place = placeOf(branch);
  const stamp = `${version} ${rulesVersion} ${await dayStamp(db)}`;
  const { kept } = place;
  if (kept !== undefined && kept.stamp === stamp && Math.abs(now - kept.facts.now) < OLD_MS) return ok(kept);
  const same = place.making.find((m) => m.stamp === stamp);
  if (same !== undefined) return same.plan;
  // More at once would only keep each other waiting.
  if (place.making.length >= AT_ONCE) {
    await Promise.race(place.making.map((m) => m.plan.catch(() => undefined)));
    return upToDate(branch, now);
  }
  const plan = make(db, { settings, rules, at: among(branch, settings.branches) }, stamp, kept, now)
    .then((made) => {
      if (made.ok && (place.kept === undefined || place.kept.facts.now <= made.value.facts.now)) place.kept = made.value;
      return made;
    })
    .finally(() => {
      place.making = place.making.filter((m) => m.plan !== plan);
    });
  place.making = [...place.making, { stamp, plan }];
  return plan;
};

/** The facts of the plan that people go by, though something may have changed since. */
export const dayLately = async (branch: Branch | undefined): Promise<DayFacts | undefined> => {
  const { kept } = placeOf(branch);
  if (kept !== undefined) return kept.facts;
  const day = await dayNow(branch);
  return day.ok ? day.value.facts : undefined;
};

/** The plans are made before the first one asks: reading the shop and planning take several times as long the first time. */
export async function makeFirstPlans(): Promise<void> {
  const { branches } = (await shopNow()).settings;
  for (const branch of branches.length === 0 ? [undefined] : branches) await dayNow(branch);
}

const make = async (
  db: Db,
  shop: Parameters<typeof dayFacts>[2],
  stamp: string,
  before: DayNow | undefined,
  now: number,
): Promise<Result<Kept, NotDone>> => {
  const seen = await dayFacts(db, now, shop);
  const facts = before === undefined ? seen : presuming(seen, before.schedule.ops, before.facts.now);
  const { request, leftOut } = dayRequest(facts, 'waited');
  const made = await inPool('plan', { request, before: before?.schedule.ops ?? null });
  return made.ok ? ok({ facts, request, schedule: made.value, leftOut, stamp }) : made;
};

/** A plan that somebody found by looking further: taken where it still holds and is better than the one there is. */
export async function takePlan(branch: Branch | undefined, found: readonly ScheduledOp[]): Promise<Result<'taken' | 'no better', NotDone>> {
  const place = placeOf(branch);
  const { kept } = place;
  // What was found for a plan that is being made again, or is not there, is of no use.
  if (kept === undefined || place.making.length > 0) return ok('no better');
  const tried = await inPool('keep-plan', { request: kept.request, before: found });
  if (!tried.ok) return tried;
  const { unplaced, lateness } = kept.schedule;
  const better =
    tried.value.unplaced.length < unplaced.length ||
    (tried.value.unplaced.length === unplaced.length && tried.value.lateness < lateness - 1);
  if (!better || place.kept?.request !== kept.request) return ok('no better');
  place.kept = { ...place.kept, schedule: tried.value };
  return ok('taken');
}

/** What a person is to do today and tomorrow, for their calendar; nothing while no plan can be made. */
export async function plannedFor(db: Db, personId: string): Promise<readonly CalendarEntry[]> {
  const person = (await staff(db)).find((p) => p.id === personId);
  if (person === undefined) return [];
  const day = await dayNow(await planBranch(person.branch ?? null));
  return day.ok ? calendarWork(planOf(day.value.facts, day.value.schedule, day.value.leftOut), personId, day.value.facts.now) : [];
}
