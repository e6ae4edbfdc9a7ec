import type { Random } from '../statistics/random';
import type { Placing } from './board';
import { attendedFrom, type JobList, type JobUnit, type Op, type Shift, spanFrom } from './job-list';
import { SAME } from './usage';

const NEVER = Number.POSITIVE_INFINITY;

/**
 * When units are finished if work takes as long as it happens to: the plan's people and its orders are kept, the minutes of what is not started
 * are drawn, and each operation begins as early as its order and the shifts allow. Nobody knows a draw beforehand, so that a work begins where
 * its planned minutes fit a shift; what is left when the shift ends goes on with the person's next one.
 * @param order all that is placed, by begin
 * @returns for each unit that is placed whole the finishes of all samples, rising; Infinity where it never ends
 */
export const drawnFinishes = (
  jobs: JobList,
  plan: Placing,
  order: readonly number[],
  samples: number,
  random: Random,
): ReadonlyMap<number, Float64Array> => {
  const whole = [...jobs.units.keys()].filter((u) => !Number.isNaN(plan.end[jobs.units[u]?.ops.at(-1) as number] as number));
  const finishes = new Map(whole.map((u) => [u, new Float64Array(samples)]));
  for (let s = 0; s < samples; s++) {
    const end = timedAgain(jobs, plan, order, random);
    for (const u of whole) (finishes.get(u) as Float64Array)[s] = end[jobs.units[u]?.ops.at(-1) as number] as number;
  }
  for (const all of finishes.values()) all.sort();
  return finishes;
};

const timedAgain = (jobs: JobList, plan: Placing, order: readonly number[], random: Random): Float64Array => {
  const end = new Float64Array(jobs.ops.length).fill(NEVER);
  /** When each person is free again, and for each bench its last begin and the ends of what was put on it. */
  const free = new Float64Array(jobs.people.length);
  const last = new Float64Array(jobs.places.length).fill(Number.NEGATIVE_INFINITY);
  const ends: number[][] = jobs.places.map(() => []);
  for (const o of order) {
    const op = jobs.ops[o] as Op;
    const person = plan.person[o] as number;
    const drawn = op.fixed !== undefined || op.spread === 0 ? op.minutes : op.minutes * Math.exp(op.spread * random.normal());
    const ready = readyAt(jobs, op, end);
    let begin = op.fixed?.startMin ?? Math.max(ready, person < 0 ? 0 : (free[person] as number));
    if (op.fixed !== undefined) end[o] = op.fixed.endMin;
    else {
      if (op.bench >= 0)
        begin = Math.max(begin, last[op.bench] as number, roomOn(ends[op.bench] as number[], jobs.places[op.bench] as number));
      begin =
        op.kind === 'work'
          ? workBegins(jobs.people[person] ?? [], begin, op.minutes)
          : op.bench < 0
            ? begin
            : attendedFrom(jobs.attended, begin);
      end[o] = begin === NEVER ? NEVER : op.kind === 'wait' ? begin + drawn : workEnds(jobs.people[person] ?? [], begin, drawn);
    }
    // What never begins holds nobody and no bench.
    if (begin === NEVER) continue;
    if (person >= 0) free[person] = end[o] as number;
    if (op.bench >= 0) {
      last[op.bench] = Math.max(last[op.bench] as number, begin);
      (ends[op.bench] as number[]).push(end[o] as number);
    }
  }
  return end;
};

const readyAt = (jobs: JobList, { unit, seq }: Op, end: Float64Array): number => {
  const { ops, readyMin } = jobs.units[unit] as JobUnit;
  return seq === 0 ? Math.max(0, readyMin) : Math.max(0, end[ops[seq - 1] as number] as number);
};

/** The first moment at which fewer than all places are taken by what was put on a bench before. */
const roomOn = (ends: readonly number[], places: number): number =>
  ends.length < places ? Number.NEGATIVE_INFINITY : (ends.toSorted((a, b) => b - a)[places - 1] as number);

const workBegins = (shifts: readonly Shift[], from: number, minutes: number): number => {
  if (from === NEVER) return NEVER;
  for (let i = spanFrom(shifts, from + minutes); i < shifts.length; i++) {
    const { fromMin, toMin } = shifts[i] as Shift;
    const at = Math.max(from, fromMin);
    if (at + minutes <= toMin + SAME) return at;
  }
  return NEVER;
};

const workEnds = (shifts: readonly Shift[], begin: number, minutes: number): number => {
  let left = minutes;
  for (let i = spanFrom(shifts, begin); i < shifts.length; i++) {
    const { fromMin, toMin } = shifts[i] as Shift;
    const at = Math.max(begin, fromMin);
    if (at + left <= toMin + SAME) return at + left;
    left -= Math.max(0, toMin - at);
  }
  return NEVER;
};

/** The value below which a share of rising values lies, linear between them (type 7); null where it leans on Infinity. @source Hyndman and Fan 1996 */
export const quantile = (rising: Float64Array, share: number): number | null => {
  const at = (rising.length - 1) * share;
  const [low, high] = [rising[Math.floor(at)] as number, rising[Math.ceil(at)] as number];
  if (low === NEVER || (high === NEVER && at > Math.floor(at))) return null;
  return low + (at - Math.floor(at)) * (high === NEVER ? 0 : high - low);
};
