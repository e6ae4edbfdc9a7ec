import { randomFrom } from '../statistics/random';
import { type Aim, type Board, isBetter } from './board';
import { byUnits, byUrgency, plainList } from './build';
import { bestOfAll, isSmall } from './exact';
import type { JobList, JobUnit, Op } from './job-list';
import { copyOf, tidy } from './tidy';

/** The tries after which a small shop is gone through whole, and a try on any other is one move. */
const FIRST_TRIES = 400;
/** So many units are taken out at once, at most. */
const MOST_OUT = 14;
/** A plan is gone on from that is so much worse than the best: the way to a better one leads over worse ones, now and then over much worse ones. */
const WORSE_BY = [
  { late: 0.02, unplaced: 0 },
  { late: 0.02, unplaced: 0 },
  { late: 0.3, unplaced: 0 },
  { late: 1, unplaced: 1 },
] as const;
/** One of the first tries on a short list makes as many moves as keep it about as long as one on a long list. */
const OPS_A_TRY = 1500;
const MOST_MOVES = 60;
/** Of the units that have no room so many are tried again with each move. */
const MOST_TRIED_AGAIN = 12;
/** On longer lists plans are built by fewer kinds of urgency. */
const LONG_LIST = 6000;

/** The best plan so far, and after how many tries. */
export type Progress = { readonly tries: number; readonly board: Board; readonly aim: Aim };

/**
 * Makes plans, each at least as good as the one before: the plain list, then plans built both ways by several kinds of urgency, then the best
 * one with units taken out and put back. Each `next` is a try; what a try does follows from the seed and from the tries before it, so that
 * more of them never give a worse plan. Never ends by itself, but on shops so small that all plans were gone through.
 */
export function* improve(jobs: JobList, seed: number): Generator<Progress, void, void> {
  let best = tidy(plainList(jobs));
  let aim = best.aim();
  let tries = 0;
  yield { tries, board: best, aim };
  if (jobs.units.length === 0) return;
  const random = randomFrom(seed);
  let now = best;
  for (const build of builds(jobs)) {
    const made = tidy(build());
    if (isBetter(made.aim(), aim)) [best, aim, now] = [made, made.aim(), made];
    yield { tries: ++tries, board: best, aim };
  }
  now = copyOf(best);
  const moves = Math.max(1, Math.min(MOST_MOVES, Math.round(OPS_A_TRY / jobs.ops.length)));
  for (;;) {
    if (tries + 1 === FIRST_TRIES && isSmall(jobs)) {
      const least = tidy(bestOfAll(jobs));
      if (isBetter(least.aim(), aim)) [best, aim] = [least, least.aim()];
      yield { tries: ++tries, board: best, aim };
      return;
    }
    for (let m = 0; m < (tries < FIRST_TRIES ? moves : 1); m++) {
      outAndBack(now, random);
      const got = now.aim();
      if (isBetter(got, aim)) {
        const whole = tidy(copyOf(now));
        [best, aim] = [whole, whole.aim()];
        now = copyOf(whole);
      } else if (tooFar(got, aim, WORSE_BY[tries % WORSE_BY.length] as (typeof WORSE_BY)[number])) now = copyOf(best);
    }
    // What was left open where something was taken out is closed now and then.
    if (tries % 8 === 7) {
      now = tidy(now);
      const got = now.aim();
      if (isBetter(got, aim)) {
        [best, aim] = [now, got];
        now = copyOf(best);
      }
    }
    yield { tries: ++tries, board: best, aim };
  }
}

const tooFar = (got: Aim, best: Aim, by: (typeof WORSE_BY)[number]): boolean =>
  got.unplaced > best.unplaced + by.unplaced || got.lateness > best.lateness * (1 + by.late) + 1 || got.flow > best.flow * 1.05 + 60;

/** Work and waits that a unit still has, min. */
const workOf = (jobs: JobList, { ops }: JobUnit): number =>
  ops.reduce((sum, o) => sum + ((jobs.ops[o] as Op).fixed === undefined ? (jobs.ops[o] as Op).minutes : 0), 0);

/** Plans from nothing, by several kinds of urgency, both ways. */
const builds = (jobs: JobList): readonly (() => Board)[] => {
  const left = jobs.units.map((u) => workOf(jobs, u));
  const orders: readonly ((u: number) => number)[] = [
    (u) => unitOf(jobs, u).dueMin,
    (u) => unitOf(jobs, u).dueMin - (left[u] as number),
    (u) => (unitOf(jobs, u).dueMin - (left[u] as number)) / unitOf(jobs, u).weight,
    (u) => (left[u] as number) / unitOf(jobs, u).weight,
    (u) => unitOf(jobs, u).dueMin - 0.5 * (left[u] as number) - 200 * unitOf(jobs, u).weight,
  ];
  const mean = left.reduce((a, b) => a + b, 0) / left.length;
  const urgencies: readonly ((u: number, begin: number) => number)[] = [
    (u) => -unitOf(jobs, u).dueMin,
    (u, begin) => -(unitOf(jobs, u).dueMin - begin - (left[u] as number)) / unitOf(jobs, u).weight,
    // Weight for the work that is left, less by an e for each mean unit that there is time. @source apparent tardiness cost, Vepsalainen and Morton 1987
    ...[0.3, 1, 3].map((k) => (u: number, begin: number) => {
      const { dueMin, weight } = unitOf(jobs, u);
      const tail = left[u] as number;
      return (weight / Math.max(1, tail)) * Math.exp(-Math.max(0, dueMin - begin - tail) / (k * Math.max(1, mean)));
    }),
  ];
  return [
    ...orders.map(
      (by) => () =>
        byUnits(
          jobs,
          [...jobs.units.keys()].sort((a, b) => by(a) - by(b) || a - b),
        ),
    ),
    ...(jobs.ops.length > LONG_LIST ? [0] : [0, 30]).flatMap((whileMin) =>
      urgencies.slice(jobs.ops.length > LONG_LIST ? 3 : 0).map((urgency) => () => byUrgency(jobs, urgency, whileMin)),
    ),
  ];
};

const unitOf = (jobs: JobList, u: number): JobUnit => jobs.units[u] as JobUnit;
/** Takes some units out and puts them back, each whole into its earliest gaps. */
const outAndBack = (board: Board, random: ReturnType<typeof randomFrom>): void => {
  const { jobs } = board;
  const n = jobs.units.length;
  const most = Math.min(n, 2 + random.below(Math.max(1, Math.min(MOST_OUT, n) - 1)));
  const out = new Set<number>();
  const late = [...jobs.units.keys()].filter((u) => !(board.finish(u) <= unitOf(jobs, u).dueMin));
  const from = late.length > 0 && random.next() < 0.8 ? (late[random.below(late.length)] as number) : random.below(n);
  out.add(from);
  // Those whose work lies in its way: near it in time, on the same people or benches.
  const near = random.next() < 0.7 ? inTheWay(board, from) : [];
  while (out.size < most) {
    const pick = near.length > 0 && random.next() < 0.8 ? near[random.below(near.length)] : random.below(n);
    out.add(pick as number);
  }
  for (const u of out) board.liftUnit(u);
  const noise = random.next() < 0.5 ? 0 : 600;
  const key = new Map(
    [...out].map((u) => [
      u,
      unitOf(jobs, u).dueMin -
        workOf(jobs, unitOf(jobs, u)) * (0.5 + random.next()) -
        (u === from ? 1e5 * random.next() : 0) +
        noise * random.normal(),
    ]),
  );
  for (const u of [...out].sort((a, b) => (key.get(a) as number) - (key.get(b) as number))) board.placeUnit(u);
  const without = [...jobs.units.keys()].filter((u) => !out.has(u) && Number.isNaN(board.finish(u)));
  for (let i = 0; i < Math.min(without.length, MOST_TRIED_AGAIN); i++) board.placeUnit(without[random.below(without.length)] as number);
};

/** Units with an operation on a person or bench of this one, before it ends. */
export const inTheWay = (board: Board, unit: number): readonly number[] => {
  const { jobs } = board;
  const own = unitOf(jobs, unit).ops;
  const [people, benches] = [new Set<number>(), new Set<number>()];
  for (const o of own) {
    const op = jobs.ops[o] as Op;
    for (const p of op.able) people.add(p);
    if (op.bench >= 0) benches.add(op.bench);
  }
  const end = board.finish(unit);
  const found = new Set<number>();
  for (const [o, op] of jobs.ops.entries()) {
    if (op.unit === unit || op.fixed !== undefined || !(Number.isNaN(end) || (board.start[o] as number) < end)) continue;
    if (people.has(board.person[o] as number) || benches.has(op.bench)) found.add(op.unit);
  }
  return [...found];
};
