import { Board } from './board';
import type { Op } from './job-list';
import { SAME } from './usage';

const NEVER = Number.POSITIVE_INFINITY;
/** Passes over all operations; each only moves some of them earlier, so that few are needed. */
const MOST_PASSES = 30;

/** The first operation of a unit that has no room, and why. */
export type NoRoom = { readonly op: number; readonly because: 'no-shift' | 'no-room' };

/**
 * Brings a plan into order: what belongs to units that are not placed whole is taken off, nothing could begin earlier with its person, and
 * units that find room after all are placed. @returns the same board
 */
export const tidy = (board: Board): Board => {
  const { jobs } = board;
  const whole = (u: number): boolean => !Number.isNaN(board.finish(u));
  for (const u of jobs.units.keys()) if (!whole(u)) board.liftUnit(u);
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    let moved = false;
    for (const o of inOrder(board)) {
      if ((jobs.ops[o] as Op).fixed !== undefined) continue;
      const [start, person] = [board.start[o] as number, board.person[o] as number];
      board.lift(o);
      const at = board.earliestWith(o, person);
      const earlier = at < start - SAME;
      board.place(o, earlier ? at : start, person);
      moved ||= earlier;
    }
    for (const u of jobs.units.keys()) if (!whole(u) && board.placeUnit(u)) moved = true;
    if (!moved) break;
  }
  return board;
};

/** What is placed, by begin, then by unit and its order in the request. */
export const inOrder = (board: Pick<Board, 'jobs' | 'start'>): readonly number[] =>
  [...board.jobs.ops.keys()]
    .filter((o) => !Number.isNaN(board.start[o]))
    .sort((a, b) => (board.start[a] as number) - (board.start[b] as number) || a - b);

/** Places the first operations of units that have no room for all, where the others leave some. @returns for each such unit the first that has none */
export const placeParts = (board: Board): readonly NoRoom[] => {
  const { jobs } = board;
  return jobs.units.flatMap((unit, u) => {
    if (!Number.isNaN(board.finish(u))) return [];
    for (const o of unit.ops) {
      if (board.isPlaced(o)) continue;
      const at = board.earliest(o);
      if (at === NEVER) return [{ op: o, because: whyNot(board, o) }];
      board.place(o, at, board.chosen);
    }
    return [];
  });
};

const whyNot = ({ jobs }: Board, o: number): NoRoom['because'] => {
  const { kind, able, minutes } = jobs.ops[o] as Op;
  const fits = able.some((p) => (jobs.people[p] ?? []).some((s) => s.toMin - s.fromMin >= minutes - SAME));
  return kind === 'work' && !fits ? 'no-shift' : 'no-room';
};

/** The same plan on a board of its own. */
export const copyOf = (board: Board): Board => {
  const copy = new Board(board.jobs);
  for (const o of inOrder(board))
    if (board.jobs.ops[o]?.fixed === undefined) copy.place(o, board.start[o] as number, board.person[o] as number);
  return copy;
};
