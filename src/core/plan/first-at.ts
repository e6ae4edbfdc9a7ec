import type { ScheduledOp } from '../day/schedule';
import type { PlaceKind } from './ahead';
import type { DayPlan, PlannedOp } from './day-plan';

/** One unit before those that it would wait behind at a bench; everywhere else in its turn. */
export type FirstAt = { readonly kind: 'first-at'; readonly tag: string; readonly bench: PlaceKind };

/**
 * The order of a plan with a unit before those that it waits behind at a bench: they, and what follows at them, come after it; all else stays.
 * To be timed anew, which is why its times say nothing. The order of the plan where it waits behind nobody there.
 */
export const orderWithFirst = (plan: DayPlan, { tag, bench }: FirstAt): readonly ScheduledOp[] => {
  const at = plan.ops.findIndex((o) => o.tag === tag && o.op.bench === bench && o.stands === 'planned');
  const before = plan.ops.slice(0, Math.max(0, at));
  const ready = Math.max(0, ...before.filter((o) => o.tag === tag).map((o) => o.endAt));
  const there = before.filter((o) => o.tag !== tag && o.op.bench === bench && o.stands === 'planned' && o.endAt > ready);
  const waits = (o: PlannedOp): boolean => there.some((t) => t.tag === o.tag && t.startAt <= o.startAt);
  const order = [...before.filter((o) => !waits(o)), ...plan.ops.slice(at, at + 1), ...before.filter(waits), ...plan.ops.slice(at + 1)];
  return order.map((o) => ({ unitId: o.tag, opId: o.op.id, personId: o.personId, startMin: 0, endMin: 0 }));
};
