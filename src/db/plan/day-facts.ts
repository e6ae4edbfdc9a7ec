import { setImmediate } from 'node:timers/promises';
import { and, asc, isNull } from 'drizzle-orm';
import { FAMILIES } from '@/core/family/families';
import { UNIT_KINDS } from '@/core/family/family-name';
import { may } from '@/core/people/role';
import { WorkSchema } from '@/core/people/work';
import { aheadOf, type PlaceKind } from '@/core/plan/ahead';
import type { Bench, DayFacts, RackUnit, UsualUnit, Worker } from '@/core/plan/day-facts';
import { knownOf } from '@/core/plan/known';
import { likeliest, likelyWays } from '@/core/plan/likely-way';
import { shiftsFrom } from '@/core/plan/shifts';
import { skillsOf, withSigners } from '@/core/plan/skills';
import { judgedWay, standingOf, standingOfNew } from '@/core/plan/standing';
import type { Taught } from '@/core/plan/taught';
import type { SaidTime } from '@/core/plan/times';
import { atNow, type Done, workedAt } from '@/core/plan/worked';
import { skillAt } from '@/core/practice/skill';
import type { Rules } from '@/core/rules/rule-set';
import { stored } from '@/core/schema/stored';
import { branchOf } from '@/core/shop/branch';
import { PLACE_KINDS, type ShopSettings, weekHours } from '@/core/shop/settings';
import type { Station } from '@/core/station';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import { unitsInShop } from '../engine/cached-units';
import type { Db } from '../engine/connection';
import { asksNow, signedSkills } from '../practice/skills';
import { type AtBranch, isAt } from '../rack/at-branch';
import { people, units } from '../tables';
import { openPins } from './pins';
import { donesOf, learn, saidTimesOf, taughtBy } from './taught';

/** How far ahead is planned, calendar days. */
const HORIZON_DAYS = 42;
/** What was done longer ago is no longer part of the work that somebody is at, ms. */
const LATELY_MS = 72 * 3_600_000;
/** Units that are worked out in a turn. */
const AT_ONCE = 5;
const Kept = stored(WorkSchema);

/** All that a plan is made of, as the shop is now. @param at of the branch; all where it is not said. A unit on its way is planned where it is received */
export async function dayFacts(
  db: Db,
  now: number,
  { settings, rules, at }: { readonly settings: ShopSettings; readonly rules: Rules; readonly at: AtBranch | undefined },
): Promise<DayFacts> {
  await learn(db, rules.workGapMin);
  const [records, staff, taught, said, pins, asks, signed] = await Promise.all([
    unitsInShop(db, and(isNull(units.goesTo), at && isAt(units.branch, at))),
    db.select().from(people).where(isNull(people.leftAt)).orderBy(asc(people.name)),
    taughtBy(db),
    saidTimesOf(db),
    openPins(db),
    asksNow(db),
    signedSkills(db),
  ]);
  const lately = records.filter((r) => r.unit.changedAt > now - LATELY_MS).map((r) => r.unit.id);
  const dones = await donesOf(db, lately, now - LATELY_MS);
  const here = staff.filter((p) => at === undefined || branchOf(settings.branches, p.branch)?.id === at.id);
  const doing = atNow(dones, now, rules.workGapMin);
  const known = new Map(UNIT_KINDS.map((kind) => [kind, knownOf(FAMILIES[kind], taught, said)]));
  const context = { now, taught, said, known, dones, atNow: doing, gapMin: rules.workGapMin };
  const onRack: RackUnit[] = [];
  for (const [i, r] of records.entries()) {
    onRack.push(rackUnit(r, context));
    // Others are answered meanwhile.
    if (i % AT_ONCE === AT_ONCE - 1) await setImmediate();
  }
  return {
    now,
    people: withSigners(
      withAsking(
        here.map((p) => {
          const worker = workerOf(p, settings, now);
          const has = (station: Station): boolean => asks[station].gate === 'open' || skillAt(signed, p.id, station, now) !== undefined;
          return { ...worker, skills: worker.skills.filter((s) => s === 'first-signature' || s === 'second-signature' || has(s)) };
        }),
      ),
      // Where no lead works, the owner signs second.
      here.filter((p) => may(p.role, 'sign-second')).map((p) => p.id),
    ),
    benches: benchesOf(settings, at?.id),
    units: onRack,
    pins,
    usual: usualUnits(taught, said),
  };
}

const workerOf = (p: typeof people.$inferSelect, settings: ShopSettings, now: number): Worker => {
  const work = p.work === null ? null : (Kept.safeParse(p.work).data ?? null);
  const off = [...settings.closed, ...(work?.daysOff ?? [])];
  return {
    id: p.id,
    name: p.name,
    skills: skillsOf(p, work),
    shifts: shiftsFrom(now, HORIZON_DAYS, weekHours(work?.hours ?? settings.hours), off),
  };
};

/** Where nobody is at the counter, whoever works asks the customers. */
const withAsking = (all: readonly Worker[]): readonly Worker[] =>
  all.some((p) => p.skills.includes('book-in'))
    ? all
    : all.map((p) => (p.skills.length === 0 ? p : { ...p, skills: ['book-in' as const, ...p.skills] }));

const benchesOf = ({ places, branches }: ShopSettings, at: string | undefined): readonly Bench[] =>
  PLACE_KINDS.flatMap((id: PlaceKind): readonly Bench[] => {
    const own = places.filter(
      (p) => p.kind === id && (at === undefined || branchOf(branches, p.branch === '' ? null : p.branch)?.id === at),
    );
    const inAll = own.reduce((sum, p) => sum + p.holds, 0);
    return inAll === 0 ? [] : [{ id, places: inAll, downMin: 0 }];
  });

type Context = {
  readonly now: number;
  readonly taught: readonly Taught[];
  readonly said: readonly SaidTime[];
  readonly known: ReadonlyMap<string, ReturnType<typeof knownOf>>;
  readonly dones: ReadonlyMap<string, readonly Done[]>;
  readonly atNow: ReturnType<typeof atNow>;
  readonly gapMin: number;
};
const rackUnit = (r: UnitRecord, c: Context): RackUnit => {
  const judged = r.family.bore === 'none' ? ('no-bore' as const) : judgedWay(r);
  const chances = likelyWays({ family: r.unit.family, material: r.unit.material, complaints: r.unit.complaints }, c.taught);
  const way = judged ?? likeliest(chances);
  const known = c.known.get(r.unit.family) ?? knownOf(r.family, c.taught, c.said);
  const doer = [...c.atNow].find(([, { unitId }]) => unitId === r.unit.id);
  return {
    id: r.unit.id,
    tag: tagOf(r.unit),
    label: r.family.label,
    dueAt: r.unit.dueAt,
    way,
    wayBy: judged === undefined ? 'likely' : 'judged',
    wayChance: judged === undefined && way !== 'no-bore' ? chances[way] : 1,
    // What is scrap goes back or away: no work is left at it.
    ops:
      way === 'scrap'
        ? []
        : aheadOf(standingOf(r, way, c.now), way, known, {
            now: c.now,
            workedMin: workedAt(c.dones.get(r.unit.id) ?? [], c.gapMin).get('open') ?? 0,
            atIt: doer === undefined ? undefined : { personId: doer[0], since: doer[1].since },
          }),
    readyAt: null,
  };
};

/** The usual work at each kind of unit, by the way that most of them go. */
const usualUnits = (taught: readonly Taught[], said: readonly SaidTime[]): readonly UsualUnit[] =>
  UNIT_KINDS.map((kind) => {
    const family = FAMILIES[kind];
    const way = family.bore === 'none' ? 'no-bore' : likeliest(likelyWays({ family: kind, material: 'cast-iron', complaints: [] }, taught));
    const ops = aheadOf(standingOfNew(family, way), way, knownOf(family, taught, said), { now: 0, workedMin: 0, atIt: undefined });
    return { family: kind, label: family.label, ops };
  });
