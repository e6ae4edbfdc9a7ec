import type { ScheduledOp } from '../day/schedule';
import type { AheadOp } from './ahead';
import type { DayFacts, RackUnit } from './day-facts';

const MINUTE_MS = 60_000;
/** Past its planned end by more than this without a step, nobody is at it, min. */
const WITHOUT_A_STEP_MIN = 20;

/**
 * The facts with what the plan of before has people at by now: until a step says otherwise they are taken to do what it told them, so that a
 * plan stays where nothing but time has passed.
 * @param before operations of the plan of before @param madeAt when it was made, ms since 1970
 */
export const presuming = (facts: DayFacts, before: readonly ScheduledOp[], madeAt: number): DayFacts => {
  const passedMin = (facts.now - madeAt) / MINUTE_MS;
  const first = new Map(facts.units.map((u) => [u.tag, u.ops[0]]));
  const seen = new Set(
    facts.units.flatMap((u) => u.ops.flatMap((op) => (op.startedMin !== undefined && op.kind === 'work' ? [op.personId] : []))),
  );
  const begun = new Map<string, ScheduledOp>();
  /** By person the newest; a wait by its unit. */
  for (const o of before) {
    const op = first.get(o.unitId);
    const isDue = o.startMin <= passedMin && o.endMin > passedMin - WITHOUT_A_STEP_MIN;
    if (op === undefined || op.id !== o.opId || op.startedMin !== undefined || !isDue || seen.has(o.personId ?? undefined)) continue;
    begun.set(o.personId ?? o.unitId, o);
  }
  const startOf = new Map([...begun.values()].map((o) => [o.unitId, o]));
  return { ...facts, units: facts.units.map((u) => withBegun(u, startOf.get(u.tag), passedMin)) };
};

const withBegun = (unit: RackUnit, begun: ScheduledOp | undefined, passedMin: number): RackUnit => {
  const [op, ...rest] = unit.ops;
  if (begun === undefined || op === undefined) return unit;
  const startedMin = Math.min(0, begun.startMin - passedMin);
  const started: AheadOp =
    op.kind === 'wait'
      ? { ...op, startedMin, presumed: 'presumed' }
      : { ...op, startedMin, presumed: 'presumed', ...(begun.personId === null ? {} : { personId: begun.personId }) };
  return { ...unit, ops: [started, ...rest] };
};
