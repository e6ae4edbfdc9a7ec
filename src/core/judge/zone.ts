import { type BoreSeal, gapBetween, type Lane, touches } from '../family/lane';
import { NOISE } from '../statistics/compare';
import type { Mark } from './mark';

/** Where a mark lies: under a seal at rest, in a seal's way, or clear of all seals; and what it touches there. */
export type Zone = {
  readonly zone: 'parked' | 'swept' | 'clear';
  readonly nearestSealId: string;
  /** To the nearest lane edge; 0 in a lane. */
  readonly distanceMm: number;
  readonly parked: readonly Lane[];
  readonly swept: readonly Lane[];
};

type Stretch = Pick<Mark, 'x0Mm' | 'x1Mm'>;

/**
 * Zone of a mark by its x-range, closed intervals.
 * @param lanes one per seal, in the same order
 * @source design, chapter 2
 */
export const zoneOf = (mark: Stretch, seals: readonly BoreSeal[], lanes: readonly Lane[]): Zone => {
  const parked = lanes.filter((l) => touches(mark.x0Mm, mark.x1Mm, l.parked0Mm, l.parked1Mm));
  const swept = lanes.filter((l) => touches(mark.x0Mm, mark.x1Mm, l.x0Mm, l.x1Mm));
  const touched = parked.length > 0 ? parked : swept;
  if (touched.length > 0) {
    return {
      zone: parked.length > 0 ? 'parked' : 'swept',
      nearestSealId: nearestResting(mark, touched, seals).sealId,
      distanceMm: 0,
      parked,
      swept,
    };
  }
  const gap = (l: Lane): number => gapBetween(mark.x0Mm, mark.x1Mm, l.x0Mm, l.x1Mm);
  const nearest = lanes.reduce((best, l) => (gap(l) < gap(best) - NOISE ? l : best));
  return { zone: 'clear', nearestSealId: nearest.sealId, distanceMm: gap(nearest), parked, swept };
};

/** Of some lanes, the one whose seal rests nearest the mark's middle; ties go to the first. */
export const nearestResting = (mark: Stretch, lanes: readonly Lane[], seals: readonly BoreSeal[]): Lane => {
  const middle = (mark.x0Mm + mark.x1Mm) / 2;
  const away = (l: Lane): number => Math.abs((seals.find((s) => s.id === l.sealId)?.restXMm ?? Infinity) - middle);
  return lanes.reduce((best, l) => (away(l) < away(best) - NOISE ? l : best));
};
