import type { Rules } from '../rules/rule-set';
import { randomFrom } from '../statistics/random';
import type { Aim, Board } from './board';
import { improve } from './improve';
import { type JobList, type JobUnit, jobListOf, type Op } from './job-list';
import { drawnFinishes, quantile } from './promise';
import { type ScheduleRequest, USUAL_EFFORT } from './schedule-schema';
import { inOrder, placeParts } from './tidy';

const USUAL_SAMPLES = 300;
/** What is drawn for promises is apart from what the search draws: more effort does not change how a plan is timed again. */
const DRAWS = 0x5eed;

export type ScheduledOp = {
  readonly unitId: string;
  readonly opId: string;
  readonly startMin: number;
  readonly endMin: number;
  /** Null for a wait. */
  readonly personId: string | null;
};
export type ScheduledUnit = {
  readonly unitId: string;
  /** Null where not all of it has room. */
  readonly finishMin: number | null;
  readonly lateMin: number | null;
  /** For each chance asked, the finish that it holds with; null where that is never. */
  readonly promiseMin?: readonly (number | null)[] | null;
};
export type Unplaced = { readonly unitId: string; readonly opId: string; readonly because: 'no-shift' | 'no-room' };
export type Schedule = {
  readonly ops: readonly ScheduledOp[];
  readonly units: readonly ScheduledUnit[];
  /** The first operation of each such unit that found no room. */
  readonly unplaced: readonly Unplaced[];
  /** Weighted minutes past due, over the units that are placed. */
  readonly lateness: number;
  /** Their finishes, summed. */
  readonly flow: number;
  readonly rulesUsed: Readonly<Record<string, never>>;
};

/**
 * Who does what next, chapter 12: people's shifts and skills, benches' places, units' operations in their order. Fewest units without room,
 * least weighted lateness, least flow. Times in minutes from now. The same request gives the same plan; more effort never a worse one.
 * @source list scheduling and ruin and recreate, Schrimpf et al. 2000
 */
export const schedule = (request: ScheduleRequest, _rules: Pick<Rules, never>): Schedule => {
  const jobs = jobListOf(request);
  const effort = request.effort ?? USUAL_EFFORT;
  let found: { readonly board: Board; readonly aim: Aim } | undefined;
  for (const progress of improve(jobs, request.seed ?? 1)) {
    found = progress;
    if (progress.tries >= effort) break;
  }
  if (found === undefined) throw new Error('no plan was made');
  return scheduleOf(request, jobs, found.board, found.aim);
};

/** A plan in the names of its request. */
export const scheduleOf = (request: ScheduleRequest, jobs: JobList, board: Board, aim: Aim): Schedule => {
  const noRoom = placeParts(board);
  const order = inOrder(board);
  const drawn =
    request.chances == null
      ? undefined
      : drawnFinishes(jobs, board, order, request.samples ?? USUAL_SAMPLES, randomFrom((request.seed ?? 1) ^ DRAWS));
  const unitOf = (o: number) => request.units[(jobs.ops[o] as Op).unit] as ScheduleRequest['units'][number];
  const idOf = (o: number): string => (unitOf(o).ops[(jobs.ops[o] as Op).seq] as { readonly id: string }).id;
  return {
    ops: order.map((o) => ({
      unitId: unitOf(o).id,
      opId: idOf(o),
      startMin: board.start[o] as number,
      endMin: board.end[o] as number,
      personId: request.people[board.person[o] as number]?.id ?? null,
    })),
    units: request.units.map(({ id: unitId }, u) => {
      const finishMin = board.finish(u);
      const placed = !Number.isNaN(finishMin);
      const chances = request.chances ?? [];
      const finishes = drawn?.get(u);
      return {
        unitId,
        finishMin: placed ? finishMin : null,
        lateMin: placed ? Math.max(0, finishMin - (jobs.units[u] as JobUnit).dueMin) : null,
        ...(drawn === undefined ? {} : { promiseMin: finishes === undefined ? null : chances.map((c) => quantile(finishes, c)) }),
      };
    }),
    unplaced: noRoom.map(({ op, because }) => ({ unitId: unitOf(op).id, opId: idOf(op), because })),
    lateness: aim.lateness,
    flow: aim.flow,
    rulesUsed: {},
  };
};
