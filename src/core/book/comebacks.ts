import { normalQuantile } from '../statistics/summary';
import type { ComebacksRequest } from './comebacks-schema';
import { countFollowed, type Funnel, funnelOf, rateOf } from './funnel';
import { byGroup } from './lives';
import { type LogRank, logRank } from './log-rank';
import { type ProductLimit, productLimit } from './product-limit';

export type GroupHolds = ProductLimit & Funnel & { readonly group: string; readonly n: number; readonly events: number };
export type Comebacks = {
  readonly groups: readonly GroupHolds[];
  readonly overallRate: number | null;
  readonly logRank: LogRank | null;
  readonly rulesUsed: Readonly<Record<string, never>>;
};

/** Days looked at where nobody says which; days that a unit is followed; level of the intervals. */
const USUAL = { at: [365], followDays: 180, level: 0.95 } as const;

/**
 * What holds, and for how long: by group its product-limit curve with intervals and numbers at risk, its place in the funnel, and whether
 * groups differ.
 * @param input days from release to the comeback, or to today
 * @source design, chapter 15
 */
export const comebacks = (input: ComebacksRequest): Comebacks => {
  const followDays = input.followDays ?? USUAL.followDays;
  const z = normalQuantile((1 + (input.level ?? USUAL.level)) / 2);
  const groups = [...byGroup(input.units)];
  const overallRate = rateOf(countFollowed(input.units, followDays));
  return {
    groups: groups.map(([group, lives]) => ({
      group,
      n: lives.length,
      events: lives.filter((l) => l.cameBack).length,
      ...productLimit(lives, input.at ?? USUAL.at, z),
      ...funnelOf(countFollowed(lives, followDays), overallRate),
    })),
    overallRate,
    logRank: logRank(input.units),
    rulesUsed: {},
  };
};
