import type { Complaint } from '@/core/book-in/complaint';
import { FAMILIES } from '@/core/family/families';
import type { UnitKind } from '@/core/family/family-name';
import type { Material } from '@/core/family/material';
import { aheadOf } from '@/core/plan/ahead';
import { knownOf } from '@/core/plan/known';
import { likelyWays, repaired } from '@/core/plan/likely-way';
import { openFrom } from '@/core/plan/promise';
import { shiftsFrom } from '@/core/plan/shifts';
import { standingOfNew } from '@/core/plan/standing';
import { ok, type Result } from '@/core/result';
import type { Branch } from '@/core/shop/branch';
import { weekHours } from '@/core/shop/settings';
import type { Way } from '@/core/way';
import { shopDb } from '@/db/engine/connection';
import { saidTimesOf, taughtBy } from '@/db/plan/taught';
import { inPool, type NotDone } from '@/pool/pool';
import { dayNow } from './day-now';
import { shopNow } from './shop-now';

/** Calendar days in which a promise may lie. */
const AHEAD_DAYS = 60;
/** Answers that are kept of a plan. */
const MOST_ANSWERS = 500;

export type Asked = { readonly family: UnitKind; readonly material: Material; readonly complaints: readonly Complaint[] };

/** What was asked of a plan already, by what was asked: counters ask the same again and again while one plan stands. */
const answers = new WeakMap<object, Map<string, readonly (number | null)[]>>();

/** When a unit that comes in now is ready, by the plan of a branch and what the shop learned: by the chances of `PROMISE_CHANCES`, in the shop's hours. */
export async function promiseNow(branch: Branch | undefined, asked: Asked): Promise<Result<readonly (number | null)[], NotDone>> {
  const day = await dayNow(branch);
  if (!day.ok) return day;
  const of = answers.get(day.value.schedule) ?? new Map<string, readonly (number | null)[]>();
  answers.set(day.value.schedule, of);
  const key = JSON.stringify([asked.family, asked.material, asked.complaints]);
  const known = of.get(key);
  if (known !== undefined) return ok(known);
  const db = await shopDb();
  const [taught, times, { settings }] = await Promise.all([taughtBy(db), saidTimesOf(db), shopNow()]);
  const family = FAMILIES[asked.family];
  const knows = knownOf(family, taught, times);
  const ways: readonly { readonly way: Way; readonly chance: number }[] =
    family.bore === 'none' ? [{ way: 'no-bore', chance: 1 }] : repaired(likelyWays(asked, taught));
  const { facts, schedule } = day.value;
  const promised = await inPool('promise', [
    facts,
    schedule.ops,
    ways.map(({ way, chance }) => {
      const ops = aheadOf(standingOfNew(family, way), way, knows, { now: facts.now, workedMin: 0, atIt: undefined });
      return { chance, usual: { family: asked.family, label: family.label, ops } };
    }),
  ]);
  if (!promised.ok) return promised;
  const open = shiftsFrom(facts.now, AHEAD_DAYS, weekHours(settings.hours), settings.closed);
  const said = promised.value.readyAt.map((at) => (at === null ? null : (openFrom(at, open, facts.now) ?? null)));
  if (of.size < MOST_ANSWERS) of.set(key, said);
  return ok(said);
}
