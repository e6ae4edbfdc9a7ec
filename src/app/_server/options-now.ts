import { type RouteCost, routeCost } from '@/core/cost/route-cost';
import { FAMILIES } from '@/core/family/families';
import { spareOf } from '@/core/judge/spare';
import { offeredOf, readyAt } from '@/core/offer/offered';
import { sayDateFlips } from '@/core/offer/say-options';
import { supposedNeeds } from '@/core/offer/supposed-needs';
import { marginOf, optionsOf, type UnitOption } from '@/core/offer/unit-options';
import { knownOf } from '@/core/plan/known';
import { likeliest, likelyWays } from '@/core/plan/likely-way';
import { shiftsFrom } from '@/core/plan/shifts';
import { judgedWay } from '@/core/plan/standing';
import type { Offered } from '@/core/quote/quote';
import { ok, type Result } from '@/core/result';
import type { Rules } from '@/core/rules/rule-set';
import { weekHours } from '@/core/shop/settings';
import { currentVerdict, routeOfUnit } from '@/core/unit/facts-of';
import { asStore } from '@/core/unit/ranked-kits';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { pricesInForce } from '@/db/cost/prices';
import { wayCounts } from '@/db/cost/way-counts';
import type { Db } from '@/db/engine/connection';
import { saidTimesOf, taughtBy } from '@/db/plan/taught';
import { rulesInForce } from '@/db/rules/rules';
import { wholeStore } from '@/db/store/catalogue';
import { inPool, type NotDone } from '@/pool/pool';
import { dayNow, planBranch } from './day-now';
import { shopNow } from './shop-now';

const DAY_MS = 86_400_000;
/** How far ahead the shop's hours are looked at. */
const AHEAD_DAYS = 90;

/** What may be done about a unit, and what each way comes to by chapter 13. */
export type OptionsNow = {
  readonly options: readonly UnitOption[];
  /** Each as its customer would be offered it, in the same order. */
  readonly offers: readonly Offered[];
  /** When each can be had, ms since 1970, in the same order. */
  readonly readies: readonly number[];
  readonly cost: RouteCost;
  /** By when another would be the best. */
  readonly dates: readonly string[];
  readonly rules: Pick<Rules, 'labourPerHour' | 'partsMarkupPct'>;
  readonly neededInDays: number;
};

/** What a day past its promise costs the customer, and whether it may be missed at all. */
export type Dated = { readonly latePerDay: number; readonly hard: boolean };
const ANY_DATE: Dated = { latePerDay: 0, hard: false };

/** A unit's options: parts of the best set from the store, labour from learned times and the price list, days from the plan, chances from the shop's own units. */
export async function optionsNow(db: Db, record: UnitRecord, now: number, date: Dated = ANY_DATE): Promise<Result<OptionsNow, NotDone>> {
  const { unit, family } = record;
  const [{ prices }, taught, said, counts, { rules }, store, day, { settings }] = await Promise.all([
    pricesInForce(db),
    taughtBy(db),
    saidTimesOf(db),
    wayCounts(db, now),
    rulesInForce(db),
    wholeStore(db, now),
    planBranch(unit.branch).then((branch) => dayNow(branch, now)),
    shopNow(),
  ]);
  const { needs, supposed } = supposedNeeds(record);
  const covered = await inPool('cover-sets', { needs, store: asStore(store, null, false) });
  if (!covered.ok) return covered;
  const { cheapest } = covered.value;
  const planned = day.ok ? day.value.schedule.units.find((u) => u.unitId === tagOf(unit))?.finishMin : null;
  const neededInDays = (unit.dueAt - now) / DAY_MS;
  const options = optionsOf({
    family,
    boreMm: unit.geometry?.nominalMm ?? null,
    fitment: record.identity?.fitmentId ?? null,
    way: wayOf(record, taught),
    margin: marginOf(spareNow(record)),
    done: routeOfUnit(record).flatMap((s) => (s.state === 'done' && s.station !== 'book-in' ? [s.station] : [])),
    known: knownOf(FAMILIES[unit.family], taught, said),
    perHour: rules.labourPerHour,
    prices,
    parts: {
      price: cheapest.price,
      supposed,
      lacks: cheapest.uncovered.flatMap((u) => needs.filter((n) => n.id === u.needId && n.policy === 'replace').map((n) => n.name)),
    },
    counts,
    plannedDays: day.ok && planned != null ? (day.value.facts.now + planned * 60_000 - now) / DAY_MS : null,
    neededInDays,
  });
  const asked = options.map((o) => o.asked);
  const cost = routeCost({ options: asked, neededInDays, ...date, rules: {} }, rules);
  const bestWithin = (days: number) => routeCost({ options: asked, neededInDays: days, hard: true, rules: {} }, rules).best;
  const dates = sayDateFlips(options, cost.best, bestWithin, now);
  const open = shiftsFrom(now, AHEAD_DAYS, weekHours(settings.hours), settings.closed);
  const offers = options.map((o) => offeredOf(o, rules, prices, { now, dueAt: unit.dueAt, open }));
  const readies = options.map((o) => readyAt(o.asked.days, { now, open }));
  return ok({ options, offers, readies, cost, dates, rules, neededInDays });
}

const spareNow = (r: UnitRecord): number | null => {
  const judged = currentVerdict(r);
  return judged === undefined ? null : spareOf(judged.answer);
};

const wayOf = (r: UnitRecord, taught: Parameters<typeof likelyWays>[1]): Parameters<typeof optionsOf>[0]['way'] => {
  if (r.family.bore === 'none') return null;
  const judged = judgedWay(r);
  if (judged !== undefined) return { by: 'judged', way: judged };
  const chances = likelyWays({ family: r.unit.family, material: r.unit.material, complaints: r.unit.complaints }, taught);
  const way = likeliest(chances);
  return { by: 'likely', way, chance: chances[way] };
};
