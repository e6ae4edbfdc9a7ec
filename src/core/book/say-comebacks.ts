import { fixed, plain } from '../quantity/figure';
import type { GroupHolds } from './comebacks';
import type { FunnelSays } from './funnel';
import type { LogRank } from './log-rank';

/** What the funnel says of a group, in words. */
export const FUNNEL_WORDS: { readonly [S in FunnelSays]: string } = {
  high: 'more come back than chance gives',
  low: 'fewer come back than chance gives',
  usual: 'as many as chance gives',
  few: 'too few to say',
};

const percent = (share: number): string => `${fixed(100 * share, share < 0.1 || share > 0.9 ? 1 : 0)} %`;
export const sayShare = (share: number | null): string => (share === null ? '–' : percent(share));

/** A share that holds, with its interval. */
export const sayHolds = (at: GroupHolds['at'][number] | undefined): string =>
  at == null ? 'not known yet' : `${percent(at.survival)} (${percent(at.low)} to ${percent(at.high)})`;

/** Whether groups differ, for people who do not know the test’s name. */
export const sayLogRank = (rank: LogRank | null): string => {
  if (rank === null) return 'Whether they hold alike cannot be told: it takes two groups of which something came back.';
  const chance =
    rank.p < 0.001
      ? 'less than one time in a thousand'
      : `about ${rank.p < 0.1 ? fixed(100 * rank.p, 1) : fixed(100 * rank.p, 0)} times in a hundred`;
  const test = `log-rank test: χ² ${fixed(rank.chi2, 2)}, ${plain(rank.df)} ${rank.df === 1 ? 'degree' : 'degrees'} of freedom, p ${rank.p < 0.001 ? 'under 0.001' : fixed(rank.p, 3)}`;
  return rank.p < 0.05
    ? `They do not hold alike: differences as large as these come by chance ${chance} (${test}).`
    : `That they hold unalike is not shown: differences as large as these come by chance ${chance} (${test}).`;
};
