import { NOISE } from '../statistics/compare';

/** How long a unit held: days from its release to the day it came back, or to today. */
export type Life = {
  readonly group: string;
  readonly days: number;
  readonly cameBack: boolean;
  readonly releasedDaysAgo?: number | null | undefined;
};

/** Lives by group, in the order in which the groups first appear. */
export const byGroup = (lives: readonly Life[]): ReadonlyMap<string, readonly Life[]> => {
  const all = new Map<string, Life[]>();
  for (const life of lives) {
    const own = all.get(life.group);
    if (own === undefined) all.set(life.group, [life]);
    else own.push(life);
  }
  return all;
};

/** One day on which something came back, of lives that rise by their days: how many then, and from which place on they were still out. */
export type ComebackDay = { readonly day: number; readonly events: number; readonly from: number };

/** Days with a comeback, rising; a comeback comes before a unit that is only known to have held until that day. @param rising lives by their days */
export const comebackDays = (rising: readonly Life[]): readonly ComebackDay[] => {
  const days: { day: number; events: number; from: number }[] = [];
  let from = 0;
  for (const [i, life] of rising.entries()) {
    if (i > 0 && life.days > (rising[from]?.days ?? 0) + NOISE) from = i;
    if (!life.cameBack) continue;
    const last = days.at(-1);
    if (last !== undefined && last.from === from) last.events += 1;
    else days.push({ day: rising[from]?.days ?? life.days, events: 1, from });
  }
  return days;
};

export const risingByDays = (lives: readonly Life[]): readonly Life[] => [...lives].sort((a, b) => a.days - b.days);
