import type { Random } from '../statistics/random';

/** A thing of several, evenly. */
export const oneOf = <T>(random: Random, all: readonly T[]): T => all[random.below(all.length)] as T;

/** All of them in an order of chance. @source Fisher and Yates */
export const shuffled = <T>(random: Random, all: readonly T[]): readonly T[] => {
  const left = [...all];
  for (let i = left.length - 1; i > 0; i--) {
    const j = random.below(i + 1);
    [left[i], left[j]] = [left[j] as T, left[i] as T];
  }
  return left;
};

/** So many of them, in an order of chance. */
export const someOf = <T>(random: Random, all: readonly T[], count: number): readonly T[] => shuffled(random, all).slice(0, count);

/** A figure between two, on a step. */
export const between = (random: Random, from: number, to: number, step: number): number =>
  Number((from + step * random.below(Math.floor((to - from) / step + 1e-9) + 1)).toFixed(6));
