import type { Schedule, ScheduledOp } from '../day/schedule';
import type { AheadOp } from './ahead';
import type { DayFacts, LeftOut, RackUnit } from './day-facts';

const MINUTE_MS = 60_000;
/** Two moments of one, min. */
const SAME_MIN = 1e-6;

/** An operation in its place, with what it is called. Times in ms since 1970. */
export type PlannedOp = {
  readonly tag: string;
  readonly unitId: string;
  readonly op: AheadOp;
  readonly startAt: number;
  readonly endAt: number;
  readonly personId: string | null;
  readonly stands: 'started' | 'planned';
};
/** A unit in the plan. */
export type PlannedUnit = {
  readonly unit: RackUnit;
  readonly ops: readonly PlannedOp[];
  /** Null where not all of it has room. */
  readonly finishAt: number | null;
  /** Past its promise, min. */
  readonly lateMin: number;
};
/** A shop's plan as people read it. */
export type DayPlan = {
  readonly ops: readonly PlannedOp[];
  readonly units: readonly PlannedUnit[];
  readonly noRoom: readonly { readonly tag: string; readonly because: 'no-shift' | 'no-room' }[];
  readonly leftOut: readonly LeftOut[];
  /** Over all units by what they were promised for, whatever is pinned, min. */
  readonly latenessMin: number;
};

/** What a calculation answered, on the facts that it was made of. */
export const planOf = (facts: DayFacts, schedule: Schedule, leftOut: readonly LeftOut[]): DayPlan => {
  const units = new Map(facts.units.map((u) => [u.tag, u]));
  const ops = schedule.ops.flatMap((s) => plannedOp(s, units.get(s.unitId), facts.now));
  const planned = schedule.units.flatMap(({ unitId, finishMin }): readonly PlannedUnit[] => {
    const unit = units.get(unitId);
    if (unit === undefined) return [];
    const finishAt = finishMin === null ? null : facts.now + finishMin * MINUTE_MS;
    const lateMin = finishAt === null ? 0 : Math.max(0, (finishAt - unit.dueAt) / MINUTE_MS);
    return [{ unit, ops: ops.filter((o) => o.tag === unitId), finishAt, lateMin }];
  });
  return {
    ops,
    units: planned,
    noRoom: schedule.unplaced.flatMap(({ unitId, because }) => (units.has(unitId) ? [{ tag: unitId, because }] : [])),
    leftOut,
    latenessMin: planned.reduce((sum, u) => sum + u.lateMin, 0),
  };
};

const plannedOp = (s: ScheduledOp, unit: RackUnit | undefined, now: number): readonly PlannedOp[] => {
  const op = unit?.ops.find((o) => o.id === s.opId);
  if (unit === undefined || op === undefined) return [];
  const [startAt, endAt] = [now + s.startMin * MINUTE_MS, now + s.endMin * MINUTE_MS];
  const stands = op.startedMin !== undefined && Math.abs(s.startMin - op.startedMin) < SAME_MIN ? 'started' : 'planned';
  return [{ tag: unit.tag, unitId: unit.id, op, startAt, endAt, personId: s.personId, stands }];
};

/** How another plan moves a unit: when it is ready in each; null where it has no room there, or is not in it. */
export type Moved = { readonly tag: string; readonly dueAt: number; readonly was: number | null; readonly will: number | null };
/** What moves less is the same, ms. */
const SAME_MS = 15 * MINUTE_MS;

/** Units that another plan moves, those whose lateness changes most first. */
export const movedUnits = (before: DayPlan, after: DayPlan): readonly Moved[] => {
  const was = new Map(before.units.map((u) => [u.unit.tag, u]));
  const will = new Map(after.units.map((u) => [u.unit.tag, u]));
  return [...new Set([...was.keys(), ...will.keys()])]
    .map((tag) => {
      const [a, b] = [was.get(tag), will.get(tag)];
      const late = (u: PlannedUnit | undefined): number =>
        u === undefined ? 0 : u.finishAt === null ? Number.POSITIVE_INFINITY : u.lateMin;
      const moved = { tag, dueAt: (b ?? a)?.unit.dueAt ?? 0, was: a?.finishAt ?? null, will: b?.finishAt ?? null };
      return { moved, by: Math.abs(late(b) - late(a)), shift: Math.abs((moved.will ?? 0) - (moved.was ?? 0)) };
    })
    .filter(({ by, shift }) => by > 1 || shift > SAME_MS)
    .toSorted((a, b) => (a.by === b.by ? b.shift - a.shift : b.by - a.by))
    .map(({ moved }) => moved);
};

/** Units that will be late, the latest first. */
export const lateUnits = (plan: DayPlan): readonly PlannedUnit[] =>
  plan.units.filter((u) => u.lateMin >= 1).toSorted((a, b) => b.lateMin - a.lateMin);

/** What one person does at one unit without a break, or one operation: a block of the drawing, a line of a list. */
export type Stretch = Omit<PlannedOp, 'op'> & { readonly words: string; readonly ops: readonly [PlannedOp, ...PlannedOp[]] };

/** Operations in their order, those of a person at the same unit that follow on one another taken as one. */
export const stretchesOf = (ops: readonly PlannedOp[]): readonly Stretch[] => {
  const all: Stretch[] = [];
  for (const o of ops) {
    const last = all.at(-1);
    const goesOn =
      last !== undefined && o.personId !== null && last.personId === o.personId && last.tag === o.tag && o.startAt - last.endAt < MINUTE_MS;
    const { op, ...rest } = o;
    if (last === undefined || !goesOn) all.push({ ...rest, words: op.words, ops: [o] });
    else
      all[all.length - 1] = {
        ...last,
        endAt: o.endAt,
        words: last.ops.some((x) => x.op.words === op.words)
          ? last.words
          : `${last.words}, ${op.words.charAt(0).toLowerCase()}${op.words.slice(1)}`,
        ops: [...last.ops, o],
      };
  }
  return all;
};

/** What one person does, in its order. */
export const workOf = (plan: DayPlan, personId: string): readonly Stretch[] => stretchesOf(plan.ops.filter((o) => o.personId === personId));

/** A shorter wait is over again before anybody is home. */
const NIGHT_MS = 120 * MINUTE_MS;
/** Waits that are not started yet, begin before people leave today, and run on after that. @param leaveAt when the last one leaves; undefined: nobody is there today */
export const throughTheNight = (plan: DayPlan, leaveAt: number | undefined): readonly PlannedOp[] =>
  leaveAt === undefined
    ? []
    : plan.ops.filter(
        (o) =>
          o.op.kind === 'wait' && o.stands === 'planned' && o.startAt <= leaveAt && o.endAt > leaveAt && o.endAt - o.startAt >= NIGHT_MS,
      );
