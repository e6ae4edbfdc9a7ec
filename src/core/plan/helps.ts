import { fitIn } from '../day/keep';
import { schedule } from '../day/schedule';
import { STANDARD_RULES } from '../rules/rule-set';
import { PLACE_KIND_WORDS } from '../shop/settings';
import { usualWait } from '../unit/usual-waits';
import { type DayFacts, dayRequest } from './day-facts';
import { type DayPlan, lateUnits, type Moved, movedUnits, type PlannedUnit, planOf } from './day-plan';
import { type FirstAt, orderWithFirst } from './first-at';
import { whyLate } from './late';
import { type Supposed, saySupposed, supposing } from './what-if';

/** Late units that are looked at. */
const MOST_LATE = 4;
const MORE_MIN = 60;
const COURIER_H = 24;
/** What saves less than this is no help, min. */
const WORTH_MIN = 5;

/** Something that might help. */
export type Helpful = Supposed | FirstAt;
/** What would change who is late: what the lateness of all units would be. */
export type Help = {
  readonly helpful: Helpful;
  readonly latenessMin: number;
  readonly savedMin: number;
  readonly moved: readonly Moved[];
};

/** A plan of facts, as it is made where nobody has looked further. */
export const planFor = (facts: DayFacts): DayPlan => {
  const { request, leftOut } = dayRequest(facts);
  return planOf(facts, schedule(request, STANDARD_RULES), leftOut);
};

/** What is planned with a help, and nothing else changed. */
const helpedBy = (facts: DayFacts, plan: DayPlan, helpful: Helpful): DayPlan => {
  if (helpful.kind !== 'first-at') return planFor(supposing(facts, [helpful]));
  const { request, leftOut } = dayRequest(facts);
  return planOf(facts, fitIn(request, orderWithFirst(plan, helpful)), leftOut);
};

/** In words. @param nameOf a person by id @param labelOf a family */
export const sayHelpful = (helpful: Helpful, now: number, nameOf: (id: string) => string, labelOf: (family: string) => string): string =>
  helpful.kind === 'first-at'
    ? `${helpful.tag} first at the ${PLACE_KIND_WORDS[helpful.bench]}`
    : saySupposed(helpful, now, nameOf, labelOf);

/** What might help a late unit: first of all, or at the bench it waits for, a place more there, its part by courier; and an hour more today of each who works. */
export const mightHelp = (facts: DayFacts, plan: DayPlan): readonly Helpful[] => {
  const late = lateUnits(plan).slice(0, MOST_LATE);
  const busy = facts.people.filter((p) => plan.ops.some((o) => o.personId === p.id));
  const behind = late.flatMap((u) =>
    whyLate(u, plan, facts).flatMap((r): readonly FirstAt[] =>
      r.kind === 'bench' ? [{ kind: 'first-at', tag: u.unit.tag, bench: r.bench }] : [],
    ),
  );
  const places = new Set(behind.map((b) => b.bench));
  return [
    ...late.flatMap((u) => forUnit(u)),
    ...behind,
    ...busy.map((p): Supposed => ({ kind: 'more-hours', personId: p.id, minutes: MORE_MIN })),
    ...[...places].map((bench): Supposed => ({ kind: 'more-places', bench, places: 1 })),
  ];
};

const forUnit = ({ unit }: PlannedUnit): readonly Supposed[] => [
  { kind: 'first', tag: unit.tag },
  ...unit.ops.flatMap((op): readonly Supposed[] =>
    op.kind === 'wait' && usualWait(op.words)?.holds === 'kit' && op.minutes + (op.startedMin ?? 0) > COURIER_H * 60
      ? [{ kind: 'courier', tag: unit.tag, opId: op.id, hours: COURIER_H }]
      : [],
  ),
];

/** What helps most, found by planning again with each, one at a time; the best three so far after each. None is applied. */
export function* helpsFor(
  facts: DayFacts,
  plan: DayPlan,
): Generator<{ readonly tried: number; readonly of: number; readonly best: readonly Help[] }> {
  const all = mightHelp(facts, plan);
  let best: readonly Help[] = [];
  // By the same search without any help: what that finds by itself is not a help's doing.
  const base = Math.min(plan.latenessMin, planFor(facts).latenessMin);
  for (const [i, helpful] of all.entries()) {
    const helped = helpedBy(facts, plan, helpful);
    const savedMin = base - helped.latenessMin;
    if (savedMin >= WORTH_MIN && helped.noRoom.length <= plan.noRoom.length)
      best = [...best, { helpful, latenessMin: helped.latenessMin, savedMin, moved: movedUnits(plan, helped) }]
        .toSorted((a, b) => b.savedMin - a.savedMin)
        .slice(0, 3);
    yield { tried: i + 1, of: all.length, best };
  }
}

/** What a supposition would change, beside the plan that the same search makes without it. */
export type Comparison = {
  readonly latenessWas: number;
  readonly latenessWill: number;
  readonly lateWas: number;
  readonly lateWill: number;
  readonly noRoom: readonly string[];
  readonly moved: readonly Moved[];
};
export const compared = (facts: DayFacts, supposed: readonly Supposed[]): Comparison => {
  const [was, will] = [planFor(facts), planFor(supposing(facts, supposed))];
  return {
    latenessWas: was.latenessMin,
    latenessWill: will.latenessMin,
    lateWas: lateUnits(was).length,
    lateWill: lateUnits(will).length,
    noRoom: will.noRoom.map((n) => n.tag),
    moved: movedUnits(was, will),
  };
};
