import { above, NOISE } from '../statistics/compare';
import type { Life } from './lives';

/** How a group stands beside all: outside of what chance alone gives, or too few to say. */
export const FUNNEL_SAYS = ['high', 'low', 'usual', 'few'] as const;
export type FunnelSays = (typeof FUNNEL_SAYS)[number];

export type Funnel = {
  readonly followed: number;
  readonly cameBackInTime: number;
  readonly rate: number | null;
  readonly lower: number | null;
  readonly upper: number | null;
  readonly says: FunnelSays;
};

type Counted = Pick<Funnel, 'followed' | 'cameBackInTime'>;

/** Units that were out long enough to tell, and how many of them came back in that time. A comeback of a unit released lately counts no sooner than one that holds. */
export const countFollowed = (lives: readonly Life[], followDays: number): Counted => {
  const counted = lives.filter((l) =>
    l.cameBack ? l.releasedDaysAgo == null || l.releasedDaysAgo >= followDays - NOISE : l.days >= followDays - NOISE,
  );
  return { followed: counted.length, cameBackInTime: counted.filter((l) => l.cameBack && l.days <= followDays + NOISE).length };
};

export const rateOf = ({ followed, cameBackInTime }: Counted): number | null => (followed === 0 ? null : cameBackInTime / followed);

/** A group against all, by limits of three standard errors. @param overall the rate of all; null where none counts @source design, chapter 15 */
export const funnelOf = (counted: Counted, overall: number | null): Funnel => {
  const { followed: n } = counted;
  const rate = rateOf(counted);
  if (rate === null || overall === null) return { ...counted, rate: null, lower: null, upper: null, says: 'few' };
  const by = 3 * Math.sqrt((overall * (1 - overall)) / n);
  const [lower, upper] = [Math.max(0, overall - by), Math.min(1, overall + by)];
  const says = above(1, n * overall) ? 'few' : above(rate, upper) ? 'high' : above(lower, rate) ? 'low' : 'usual';
  return { ...counted, rate, lower, upper, says };
};
