import { Board } from './board';
import type { JobList, JobUnit } from './job-list';
import { SAME } from './usage';

const NEVER = Number.POSITIVE_INFINITY;

/**
 * The plain list, by due date: of the next operations of all units the one that begins earliest is placed, again and again; of several the one
 * of the unit that is due first, then the first in the request.
 */
export const plainList = (jobs: JobList): Board => byUrgency(jobs, (u) => -(jobs.units[u] as JobUnit).dueMin, 0);

/**
 * Operation by operation in time: of those that can begin first, within a while, the most urgent. A begin that was found before can only have
 * become later by what was placed since, so that only the chosen one is asked anew.
 * @param urgency of a unit whose next operation begins at a moment; the greatest goes first
 */
export const byUrgency = (jobs: JobList, urgency: (unit: number, begin: number) => number, whileMin: number): Board => {
  const board = new Board(jobs);
  const n = jobs.units.length;
  /** For each unit its next operation (-1: none is left, or it has no room), and when that could begin at the earliest. */
  const [next, begins] = [new Int32Array(n), new Float64Array(n)];
  const look = (u: number): void => {
    const op = (jobs.units[u] as JobUnit).ops.find((o) => !board.isPlaced(o)) ?? -1;
    next[u] = op;
    begins[u] = op < 0 ? NEVER : board.earliest(op);
  };
  for (let u = 0; u < n; u++) look(u);
  for (;;) {
    const unit = mostUrgent(begins, urgency, whileMin);
    if (unit < 0) return board;
    const [op, known] = [next[unit] as number, begins[unit] as number];
    const begin = board.earliest(op, known);
    if (begin > known + SAME) begins[unit] = begin;
    else {
      board.place(op, begin, board.chosen);
      look(unit);
    }
  }
};

const mostUrgent = (begins: Float64Array, urgency: (unit: number, begin: number) => number, whileMin: number): number => {
  let first = NEVER;
  for (let u = 0; u < begins.length; u++) if ((begins[u] as number) < first) first = begins[u] as number;
  if (first === NEVER) return -1;
  const end = first + whileMin + SAME;
  let [most, best] = [-1, Number.NEGATIVE_INFINITY];
  for (let u = 0; u < begins.length; u++) {
    const begin = begins[u] as number;
    if (begin > end) continue;
    const now = urgency(u, begin);
    if (now > best) [most, best] = [u, now];
  }
  return most;
};

/** Unit by unit in an order, each whole into its earliest gaps. */
export const byUnits = (jobs: JobList, order: readonly number[]): Board => {
  const board = new Board(jobs);
  for (const u of order) board.placeUnit(u);
  return board;
};
