import { schedule } from '../day/schedule';
import { STANDARD_RULES } from '../rules/rule-set';
import { usualWait } from '../unit/usual-waits';
import { type DayFacts, dayRequest } from './day-facts';
import { type DayPlan, lateUnits, type Moved, movedUnits, type PlannedUnit, planOf } from './day-plan';
import { whyLate } from './late';
import { type Supposed, supposing } from './what-if';

/** Late units that are looked at. */
const MOST_LATE = 4;
const MORE_MIN = 60;
const COURIER_H = 24;
/** What saves less than this is no help, min. */
const WORTH_MIN = 5;

/** Something that would change who is late: what the lateness of all units would be. */
export type Help = {
  readonly supposed: Supposed;
  readonly latenessMin: number;
  readonly savedMin: number;
  readonly moved: readonly Moved[];
};

/** A plan of facts, as it is made where nobody has looked further. */
export const planFor = (facts: DayFacts): DayPlan => {
  const { request, leftOut } = dayRequest(facts);
  return planOf(facts, schedule(request, STANDARD_RULES), leftOut);
};

/** What might help a late unit: first at what it waits for, a place more there, its part by courier; and an hour more today of each who works. */
export const mightHelp = (facts: DayFacts, plan: DayPlan): readonly Supposed[] => {
  const late = lateUnits(plan).slice(0, MOST_LATE);
  const busy = facts.people.filter((p) => plan.ops.some((o) => o.personId === p.id));
  const places = new Set(late.flatMap((u) => whyLate(u, plan, facts).flatMap((r) => (r.kind === 'bench' ? [r.bench] : []))));
  return [
    ...late.flatMap((u) => forUnit(u)),
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
  for (const [i, supposed] of all.entries()) {
    const helped = planFor(supposing(facts, [supposed]));
    const savedMin = base - helped.latenessMin;
    if (savedMin >= WORTH_MIN && helped.noRoom.length <= plan.noRoom.length)
      best = [...best, { supposed, latenessMin: helped.latenessMin, savedMin, moved: movedUnits(plan, helped) }]
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
