import type { ScheduleRequest } from './schedule-schema';
import { SAME } from './usage';

export type Shift = { readonly fromMin: number; readonly toMin: number };

/** One operation, by number; people and benches by their place in the request. */
export type Op = {
  readonly unit: number;
  /** Its place among the unit's own. */
  readonly seq: number;
  readonly kind: 'work' | 'wait';
  readonly minutes: number;
  /** Who may do it, in the order of the request; empty for a wait. */
  readonly able: readonly number[];
  /** -1: none. */
  readonly bench: number;
  readonly spread: number;
  /** Where it stands whatever else does; undefined: not started. */
  readonly fixed: { readonly startMin: number; readonly endMin: number; readonly person: number } | undefined;
};

export type JobUnit = {
  readonly dueMin: number;
  readonly weight: number;
  readonly readyMin: number;
  /** Numbers of its operations, in their order. */
  readonly ops: readonly number[];
};

/** A request with numbers in the place of names: what is planned. */
export type JobList = {
  readonly people: readonly (readonly Shift[])[];
  readonly places: readonly number[];
  readonly units: readonly JobUnit[];
  readonly ops: readonly Op[];
  /** Moments at which a wait may be put on a bench: everybody's shifts joined, and the ends of started works, in rising order. */
  readonly attended: readonly Shift[];
};

export const jobListOf = (r: ScheduleRequest): JobList => {
  const personNo = new Map(r.people.map((p, i) => [p.id, i]));
  const benchNo = new Map(r.benches.map((b, i) => [b.id, i]));
  const skilled = new Map<string, number[]>();
  for (const [i, p] of r.people.entries()) for (const skill of new Set(p.skills)) skilled.set(skill, [...(skilled.get(skill) ?? []), i]);
  const ops: Op[] = [];
  const units = r.units.map((u, unit): JobUnit => {
    const numbers = u.ops.map((op, seq) => {
      const named = op.personId == null ? undefined : personNo.get(op.personId);
      const fixed =
        op.startedMin == null
          ? undefined
          : { startMin: op.startedMin, endMin: Math.max(0, op.startedMin + op.minutes), person: named ?? -1 };
      ops.push({
        unit,
        seq,
        kind: op.kind,
        minutes: op.minutes,
        able: op.kind === 'wait' ? [] : named === undefined ? (skilled.get(op.skill ?? '') ?? []) : [named],
        bench: op.bench == null ? -1 : (benchNo.get(op.bench) ?? -1),
        spread: op.spread ?? 0,
        fixed,
      });
      return ops.length - 1;
    });
    return { dueMin: u.dueMin, weight: u.weight ?? 1, readyMin: u.readyMin ?? 0, ops: numbers };
  });
  const people = r.people.map((p) => p.shifts);
  const ends = ops.flatMap((op) => (op.kind === 'work' && op.fixed !== undefined ? [op.fixed.endMin] : []));
  return {
    people,
    places: r.benches.map((b) => b.places),
    units,
    ops,
    attended: joined([...people.flat(), ...ends.map((at) => ({ fromMin: at, toMin: at }))]),
  };
};

const joined = (spans: readonly Shift[]): readonly Shift[] => {
  const all: Shift[] = [];
  for (const span of spans.toSorted((a, b) => a.fromMin - b.fromMin)) {
    const last = all.at(-1);
    if (last === undefined || span.fromMin > last.toMin + SAME) all.push(span);
    else if (span.toMin > last.toMin) all[all.length - 1] = { fromMin: last.fromMin, toMin: span.toMin };
  }
  return all;
};

/** The first of some spans, in rising order, that has not ended before a moment. */
export const spanFrom = (spans: readonly Shift[], at: number): number => {
  let [low, high] = [0, spans.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((spans[middle] as Shift).toMin >= at - SAME) high = middle;
    else low = middle + 1;
  }
  return low;
};

/** The first moment from one on at which somebody is there to put a wait on its bench; Infinity where there is none. */
export const attendedFrom = (attended: readonly Shift[], at: number): number => {
  const span = attended[spanFrom(attended, at)];
  return span === undefined ? Number.POSITIVE_INFINITY : Math.max(at, span.fromMin);
};
