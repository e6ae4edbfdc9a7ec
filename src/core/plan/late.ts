import { capital } from '../capital';
import { saySpan } from '../quantity/say-time';
import { PLACE_KIND_WORDS } from '../shop/settings';
import { STATION_WORDS } from '../station';
import { skillOf } from './ahead';
import type { DayFacts } from './day-facts';
import type { DayPlan, PlannedOp, PlannedUnit } from './day-plan';

const MINUTE_MS = 60_000;
/** What is waited for less than this is nobody's reason. */
const LEAST_MS = 5 * MINUTE_MS;
/** Operations that meet to the second follow on one another. */
const MEETS_MS = 1000;

/** What a unit waits for on its way, and how long. */
export type Reason = { readonly ms: number; readonly op: PlannedOp } & (
  | { readonly kind: 'bench'; readonly bench: NonNullable<PlannedOp['op']['bench']>; readonly behind: string | undefined }
  | { readonly kind: 'person'; readonly personId: string; readonly behind: string }
  | { readonly kind: 'closed' | 'somebody' | 'wait' }
);

/** The chain of what a unit waits for until it is ready, in order: behind whom, over which night, for which cure or answer. */
export const whyLate = (unit: PlannedUnit, plan: DayPlan, facts: DayFacts): readonly Reason[] => {
  let free = Math.max(facts.now, unit.unit.readyAt ?? facts.now);
  return unit.ops.flatMap((op): readonly Reason[] => {
    const [ms, from] = [op.startAt - free, free];
    free = op.endAt;
    const own: readonly Reason[] = op.op.kind === 'wait' ? [{ kind: 'wait', ms: op.endAt - Math.max(facts.now, op.startAt), op }] : [];
    return ms < LEAST_MS ? own : [{ ms, op, ...heldUp(op, from, plan, facts) }, ...own];
  });
};

type Held =
  | Pick<Extract<Reason, { readonly kind: 'bench' }>, 'kind' | 'bench' | 'behind'>
  | Pick<Extract<Reason, { readonly kind: 'person' }>, 'kind' | 'personId' | 'behind'>
  | { readonly kind: 'closed' | 'somebody' };

const heldUp = (op: PlannedOp, from: number, plan: DayPlan, facts: DayFacts): Held => {
  const before = plan.ops.filter((o) => o !== op && o.tag !== op.tag && o.endAt > from && Math.abs(o.endAt - op.startAt) < MEETS_MS);
  const bench = op.op.bench;
  const places = facts.benches.find((b) => b.id === bench);
  if (bench !== undefined && places !== undefined) {
    const there = before.find((o) => o.op.bench === bench);
    if (there !== undefined) return { kind: 'bench', bench, behind: there.tag };
    if (places.downMin > 0 && Math.abs(facts.now + places.downMin * MINUTE_MS - op.startAt) < MEETS_MS)
      return { kind: 'bench', bench, behind: undefined };
  }
  const busy = before.find((o) => o.personId !== null && o.personId === op.personId);
  if (busy !== undefined && op.personId !== null) return { kind: 'person', personId: op.personId, behind: busy.tag };
  return closedMs(op, from, facts) > (op.startAt - from) / 2 ? { kind: 'closed' } : { kind: 'somebody' };
};

/** Time between two moments in which nobody who may do it is there. */
const closedMs = ({ op, startAt }: PlannedOp, from: number, facts: DayFacts): number => {
  const spans = facts.people
    .filter((p) => op.kind === 'wait' || p.skills.includes(skillOf(op)))
    .flatMap((p) => p.shifts.map((s) => [facts.now + s.fromMin * MINUTE_MS, facts.now + s.toMin * MINUTE_MS] as const))
    .filter(([begin, end]) => end > from && begin < startAt)
    .toSorted(([a], [b]) => a - b);
  let [closed, until] = [0, from];
  for (const [begin, end] of spans) {
    closed += Math.max(0, begin - until);
    until = Math.max(until, end);
  }
  return closed + Math.max(0, startAt - until);
};

/** The two that count most, in words: `waits 3 h 20 for the rig behind SQ-0018`. @param nameOf a person by id */
export const sayReasons = (unit: PlannedUnit, plan: DayPlan, facts: DayFacts, nameOf: (id: string) => string): string => {
  const most = whyLate(unit, plan, facts)
    .toSorted((a, b) => b.ms - a.ms)
    .slice(0, 2)
    .map((r) => sayReason(r, nameOf));
  const over = unit.unit.dueAt < facts.now ? ['its promise is over already'] : [];
  const all = [...over, ...most];
  return capital(all.length === 0 ? 'it came in too near its promise.' : `${all.join('; ')}.`);
};

const sayReason = (r: Reason, nameOf: (id: string) => string): string => {
  const long = saySpan(r.ms);
  switch (r.kind) {
    case 'bench':
      return r.behind === undefined
        ? `the ${PLACE_KIND_WORDS[r.bench]} is out of use for ${long}`
        : `waits ${long} for the ${PLACE_KIND_WORDS[r.bench]} behind ${r.behind}`;
    case 'person':
      return `waits ${long} for ${nameOf(r.personId)}, who is at ${r.behind} before`;
    case 'closed':
      return `waits ${long} for the shop to open, before ${STATION_WORDS[r.op.op.station]}`;
    case 'somebody':
      return `waits ${long} for somebody free for ${STATION_WORDS[r.op.op.station]}`;
    case 'wait':
      return `${r.op.op.words}, ${long}`;
  }
};
