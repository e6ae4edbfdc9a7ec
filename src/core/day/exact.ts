import { type Aim, Board, isBetter } from './board';
import type { JobList, JobUnit } from './job-list';

const NEVER = Number.POSITIVE_INFINITY;

/** Is a shop so small that all its plans can be gone through? */
export const isSmall = ({ units, people }: JobList): boolean =>
  units.length <= 3 && people.length <= 2 && units.every((u) => u.ops.length <= 3);

/**
 * The best plan of a small shop: every choice of units that are to be placed (the most of them first), every order of their operations, every
 * person, each operation in its earliest gap. What is already later than the best one is not gone on with.
 */
export const bestOfAll = (jobs: JobList): Board => {
  const all = jobs.units.map((_, u) => u);
  for (let most = all.length; most > 0; most--) {
    let best: Board | undefined;
    for (const some of choices(all, most)) best = bestOf(jobs, some, best) ?? best;
    if (best !== undefined) return best;
  }
  return new Board(jobs);
};

const choices = (of: readonly number[], n: number): readonly (readonly number[])[] =>
  n === 0 ? [[]] : of.flatMap((first, i) => choices(of.slice(i + 1), n - 1).map((rest) => [first, ...rest]));

/** The best plan with these units, where it is better than one that is known; undefined where there is none. */
const bestOf = (jobs: JobList, units: readonly number[], known: Board | undefined): Board | undefined => {
  const board = new Board(jobs);
  const best: { aim: Aim | undefined; placed: readonly (readonly [number, number, number])[] | undefined } = {
    aim: known?.aim(),
    placed: undefined,
  };
  const placed: [number, number, number][] = [];
  const goOn = (): void => {
    if (best.aim !== undefined && !isBetter(boundOf(board, units, jobs.units.length), best.aim)) return;
    let left = false;
    for (const u of units) {
      const o = (jobs.units[u] as JobUnit).ops.find((x) => !board.isPlaced(x));
      if (o === undefined) continue;
      left = true;
      const { able, kind } = jobs.ops[o] as JobList['ops'][number];
      for (const person of kind === 'wait' ? [-1] : able) {
        const at = board.earliestWith(o, person);
        if (at === NEVER) continue;
        board.place(o, at, person);
        placed.push([o, at, person]);
        goOn();
        placed.pop();
        board.lift(o);
      }
    }
    if (!left) [best.aim, best.placed] = [board.aim(), [...placed]];
  };
  goOn();
  if (best.placed === undefined) return undefined;
  const made = new Board(jobs);
  for (const [o, at, person] of best.placed) made.place(o, at, person);
  return made;
};

/** What a plan that is begun comes to at the least: each unit goes on at once from where it stands. */
const boundOf = (board: Board, units: readonly number[], inAll: number): Aim => {
  let [lateness, flow] = [0, 0];
  for (const u of units) {
    const { ops, dueMin, weight } = board.jobs.units[u] as JobUnit;
    const next = ops.find((o) => !board.isPlaced(o));
    let finish = next === undefined ? board.finish(u) : board.after(next);
    for (const o of ops) if (!board.isPlaced(o)) finish += (board.jobs.ops[o] as JobList['ops'][number]).minutes;
    lateness += weight * Math.max(0, finish - dueMin);
    flow += finish;
  }
  return { unplaced: inAll - units.length, lateness, flow };
};
