import { randomFrom } from '../statistics/random';
import { Board, isBetter } from './board';
import { improve, inTheWay } from './improve';
import { type JobList, jobListOf } from './job-list';
import { type Schedule, type ScheduledOp, scheduleOf } from './schedule';
import type { ScheduleRequest } from './schedule-schema';
import { copyOf } from './tidy';

/** A new plan takes the place of one that people go by only where it saves so much lateness, min, and this share of it. */
const WORTH_MIN = 30;
const WORTH_SHARE = 0.1;
/** Tries of mending, and what one must save, min. */
const REPAIRS = 60;
const REPAIR_WORTH_MIN = 15;

/**
 * The plan of before on the facts of now: who was to do what stays so, in the order in which it stood, each as early as may be; what is new
 * finds its room behind; what that made late is mended. @param before operations of an earlier plan; those that are no more are passed over
 */
export const keepPlan = (request: ScheduleRequest, before: readonly ScheduledOp[]): Schedule => kept(request, before, mend);
/** The same, with nothing mended: who was there before stays where they were, and what is new fits in. */
export const fitIn = (request: ScheduleRequest, before: readonly ScheduledOp[]): Schedule => kept(request, before, () => undefined);

const kept = (request: ScheduleRequest, before: readonly ScheduledOp[], then: (board: Board) => void): Schedule => {
  const jobs = jobListOf(request);
  const board = keptBoard(jobs, request, before);
  for (const u of [...jobs.units.keys()].sort((a, b) => due(jobs, a) - due(jobs, b) || a - b))
    if (Number.isNaN(board.finish(u)) && !board.placeUnit(u)) board.liftUnit(u);
  then(board);
  return scheduleOf(request, jobs, board, board.aim());
};

/**
 * What keeping to a plan made late is looked at again: a late unit and one or two that lie in its way are taken out and put where they have room
 * now, all others staying where they are; it counts only where it saves lateness worth the change.
 */
const mend = (board: Board): void => {
  const { jobs } = board;
  const random = randomFrom(1);
  for (let i = 0; i < REPAIRS; i++) {
    const late = [...jobs.units.keys()].filter((u) => board.finish(u) > due(jobs, u));
    if (late.length === 0) return;
    const u = late[random.below(late.length)] as number;
    const near = inTheWay(board, u);
    const out = [
      ...new Set([u, ...Array.from({ length: Math.min(near.length, random.below(3)) }, () => near[random.below(near.length)] as number)]),
    ];
    const was = out.flatMap((n) => jobs.units[n]?.ops ?? []).filter((o) => jobs.ops[o]?.fixed === undefined && board.isPlaced(o));
    const stood = was.map((o) => ({ o, start: board.start[o] as number, person: board.person[o] as number }));
    const before = board.aim();
    for (const n of out) board.liftUnit(n);
    const all = out.every((n) => board.placeUnit(n));
    const after = board.aim();
    if (all && after.unplaced <= before.unplaced && before.lateness - after.lateness > REPAIR_WORTH_MIN) continue;
    for (const n of out) board.liftUnit(n);
    for (const { o, start, person } of stood) board.place(o, start, person);
  }
};

const due = (jobs: JobList, u: number): number => jobs.units[u]?.dueMin ?? 0;

const keptBoard = (jobs: JobList, request: ScheduleRequest, before: readonly ScheduledOp[]): Board => {
  const numbers = new Map<string, number>();
  for (const [u, unit] of request.units.entries())
    for (const [i, op] of unit.ops.entries()) numbers.set(`${unit.id} ${op.id}`, jobs.units[u]?.ops[i] as number);
  const personNo = new Map(request.people.map((p, i) => [p.id, i]));
  const board = new Board(jobs);
  /** Each person's and each bench's order stays: nothing begins before what stood before it there. */
  const [ofPerson, ofBench] = [new Map<number, number>(), new Map<number, number>()];
  for (const { unitId, opId, personId } of before) {
    const o = numbers.get(`${unitId} ${opId}`);
    const op = o === undefined ? undefined : jobs.ops[o];
    if (o === undefined || op === undefined || board.isPlaced(o)) continue;
    const person = personId === null ? -1 : (personNo.get(personId) ?? -1);
    const able = op.kind === 'wait' || op.able.includes(person);
    if (Number.isNaN(board.after(o))) continue;
    const from = Math.max(ofPerson.get(person) ?? 0, ofBench.get(op.bench) ?? 0);
    const at = able ? board.earliestWith(o, person, from) : board.earliest(o, ofBench.get(op.bench) ?? 0);
    if (at === Number.POSITIVE_INFINITY) continue;
    const doer = able ? person : board.chosen;
    board.place(o, at, doer);
    if (doer >= 0) ofPerson.set(doer, at);
    if (op.bench >= 0) ofBench.set(op.bench, at);
  }
  return board;
};

/** Which of two plans of one request people go by: the one that they know, unless the other is worth the change. */
export const worthier = (known: Schedule, fresh: Schedule): Schedule => {
  if (fresh.unplaced.length !== known.unplaced.length) return fresh.unplaced.length < known.unplaced.length ? fresh : known;
  const saved = known.lateness - fresh.lateness;
  return saved > Math.max(WORTH_MIN, WORTH_SHARE * known.lateness) ? fresh : known;
};

/** Plans of a request, each better than the one before, with how many tries it took; ends by itself on small shops only. */
export function* betterAndBetter(request: ScheduleRequest): Generator<{ readonly tries: number; readonly schedule: Schedule | null }> {
  const jobs = jobListOf(request);
  let best: ReturnType<Board['aim']> | undefined;
  for (const { tries, board, aim } of improve(jobs, request.seed ?? 1)) {
    const isNew = best === undefined || isBetter(aim, best);
    if (isNew) best = aim;
    // Naming a plan places parts of units that have no room: the search goes on from its own board.
    yield { tries, schedule: isNew ? scheduleOf(request, jobs, copyOf(board), aim) : null };
  }
}
