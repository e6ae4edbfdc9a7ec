import { above, atMost } from '../statistics/compare';
import { spread } from '../statistics/summary';
import type { Station } from './station';

export type Shape = 'unknown' | 'cylindrical' | 'barrel' | 'waist' | 'bell-mouth' | 'irregular' | 'taper';

export const SHAPE_WORDS: { readonly [S in Shape]: string } = {
  unknown: 'one depth only',
  cylindrical: 'cylindrical',
  barrel: 'barrel',
  waist: 'waist',
  'bell-mouth': 'bell mouth',
  irregular: 'irregular',
  taper: 'taper',
};

/** Share of the taper that the open end alone must hold to be called a bell mouth. */
const BELL_SHARE = 0.7;

/**
 * The lengthwise shape from the station means.
 * @param stations by depth, open end first
 * @param toleranceMm differences up to this are noise
 * @returns `taperToward` names the larger end of a `taper`, else null
 * @source design, chapter 1
 */
export const shapeOf = (
  stations: readonly Station[],
  toleranceMm: number,
): { readonly shape: Shape; readonly taperToward: 'open' | 'blind' | null } => {
  const means = stations.map((s) => s.meanMm);
  const [open, blind] = [means[0], means.at(-1)];
  if (means.length < 2 || open === undefined || blind === undefined) return { shape: 'unknown', taperToward: null };
  const taper = spread(means);
  const inner = means.slice(1, -1);
  if (atMost(taper, toleranceMm)) return { shape: 'cylindrical', taperToward: null };
  if (inner.some((m) => above(m - Math.max(open, blind), toleranceMm))) return { shape: 'barrel', taperToward: null };
  if (inner.some((m) => above(Math.min(open, blind) - m, toleranceMm))) return { shape: 'waist', taperToward: null };
  const others = means.slice(1);
  const othersMean = others.reduce((a, b) => a + b, 0) / others.length;
  if (means.length >= 3 && atMost(BELL_SHARE * taper, open - othersMean) && atMost(spread(others), toleranceMm))
    return { shape: 'bell-mouth', taperToward: null };
  if (means.length >= 3 && atMost(Math.abs(open - blind), toleranceMm)) return { shape: 'irregular', taperToward: null };
  return { shape: 'taper', taperToward: open > blind ? 'open' : 'blind' };
};
