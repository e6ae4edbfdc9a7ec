import type { DayFacts } from '@/core/plan/day-facts';
import { type DayPlan, type PlannedOp, type Stretch, stretchesOf } from '@/core/plan/day-plan';
import { type Axis, xOf } from '@/core/plan/time-axis';
import { PLACE_KIND_WORDS } from '@/core/shop/settings';

/** A line of the drawing; what overlaps on it stands in lanes under one another. */
export type Row = {
  readonly key: string;
  readonly label: string;
  readonly kind: 'person' | 'bench' | 'waits' | 'unit';
  readonly lanes: readonly (readonly Stretch[])[];
  /** When it goes on, where nothing of it falls into the time that is drawn. */
  readonly next?: number | undefined;
};

/** What of a row the drawing's time shows, packed. Blocks are told apart by a pixel or two. */
const laid = (ops: readonly PlannedOp[], axis: Axis): Row['lanes'] => {
  const [from, to] = [axis[0]?.from ?? 0, axis.at(-1)?.to ?? 0];
  const lanes: Stretch[][] = [];
  for (const op of stretchesOf(ops.toSorted((a, b) => a.startAt - b.startAt)).filter((o) => o.endAt > from && o.startAt < to)) {
    const free = lanes.find((lane) => xOf(axis, (lane.at(-1) as Stretch).endAt) <= xOf(axis, op.startAt) + 1e-9);
    if (free === undefined) lanes.push([op]);
    else free.push(op);
  }
  return lanes.length === 0 ? [[]] : lanes;
};

/** A line for each person who works, for each bench, and for what waits by itself. */
export const rowsByBench = (plan: DayPlan, facts: DayFacts, axis: Axis): readonly Row[] => {
  const row = (key: string, label: string, kind: Row['kind'], ops: readonly PlannedOp[]): Row => ({
    key,
    label,
    kind,
    lanes: laid(ops, axis),
  });
  return [
    ...facts.people
      .filter((p) => p.skills.length > 0)
      .map((p) =>
        row(
          p.id,
          p.name,
          'person',
          plan.ops.filter((o) => o.personId === p.id),
        ),
      ),
    ...facts.benches.map((b) =>
      row(
        b.id,
        b.places > 1 ? `${PLACE_KIND_WORDS[b.id]} × ${b.places}` : PLACE_KIND_WORDS[b.id],
        'bench',
        plan.ops.filter((o) => o.op.bench === b.id),
      ),
    ),
    row(
      'waits',
      'waits',
      'waits',
      plan.ops.filter((o) => o.op.kind === 'wait' && o.op.bench === undefined),
    ),
  ];
};

/** A line for each unit, by its promise. */
export const rowsByUnit = (plan: DayPlan, axis: Axis): readonly Row[] =>
  plan.units
    .toSorted((a, b) => a.unit.dueAt - b.unit.dueAt)
    .map((u) => {
      const lanes = laid(u.ops, axis);
      const next = lanes.flat().length > 0 ? undefined : u.ops.find((o) => o.startAt >= (axis.at(-1)?.to ?? 0))?.startAt;
      return { key: u.unit.tag, label: u.unit.tag, kind: 'unit', lanes, next };
    });
