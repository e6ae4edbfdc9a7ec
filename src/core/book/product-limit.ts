import { atMost, NOISE } from '../statistics/compare';
import { comebackDays, type Life, risingByDays } from './lives';

/** A share that still holds after a day, with its interval. */
export type Holds = { readonly day: number; readonly survival: number; readonly low: number; readonly high: number };
/** A day on which something came back. */
export type Step = Holds & { readonly atRisk: number; readonly events: number };

export type ProductLimit = {
  readonly steps: readonly Step[];
  readonly at: readonly (Holds | null)[];
  /** The first day by which half came back; null: not yet. */
  readonly medianDays: number | null;
};

/**
 * What share of a group holds for how long, counting those that are still out for as long as they were seen.
 * @param z of the interval’s level
 * @source Kaplan and Meier 1958; variance of Greenwood 1926 on the log-log scale
 */
export const productLimit = (lives: readonly Life[], at: readonly number[], z: number): ProductLimit => {
  const rising = risingByDays(lives);
  const largest = rising.at(-1)?.days ?? 0;
  const steps: Step[] = [];
  let [survival, variance] = [1, 0];
  for (const { day, events, from } of comebackDays(rising)) {
    const atRisk = rising.length - from;
    survival *= 1 - events / atRisk;
    variance += events / (atRisk * (atRisk - events));
    steps.push({ day, atRisk, events, survival, ...intervalOf(survival, variance, z) });
  }
  return {
    steps,
    at: at.map((day) => {
      if (day > largest + NOISE) return null;
      const last = steps.findLast((s) => atMost(s.day, day));
      return { day, survival: last?.survival ?? 1, low: last?.low ?? 1, high: last?.high ?? 1 };
    }),
    medianDays: steps.find((s) => atMost(s.survival, 0.5))?.day ?? null,
  };
};

const intervalOf = (survival: number, variance: number, z: number): { readonly low: number; readonly high: number } => {
  if (survival <= 0) return { low: 0, high: 0 };
  const by = (z * Math.sqrt(variance)) / Math.log(survival);
  return { low: survival ** Math.exp(-by), high: survival ** Math.exp(by) };
};
