import { type Lane, movingLanes } from '../family/lane';
import { above } from '../statistics/compare';
import { reaches } from './coverage';
import type { Station } from './station';

/** What the bore may do between the depths gauged: 1σ, mm, and the depths where another reading would tell most. */
export type FormBetween = { readonly doubtMm: number; readonly xMm: readonly [number, number] | null };

/**
 * A quarter of the sharpest bend of the highs over three neighbouring stations in or near a lane: what such a bend hides between even depths.
 * @param stations by depth, of any method
 * @source design, chapter 2, form between depths
 */
export const formBetween = (stations: readonly Station[], lanes: readonly Lane[]): FormBetween => {
  let sharpest: FormBetween = { doubtMm: 0, xMm: null };
  for (const lane of movingLanes(lanes)) {
    const near = stations.filter((s) => reaches(s.xMm, lane.x0Mm, lane.x1Mm));
    for (const [i, middle] of near.slice(1, -1).entries()) {
      const [before, after] = [near[i] as Station, near[i + 2] as Station];
      const share = (middle.xMm - before.xMm) / (after.xMm - before.xMm);
      const doubtMm = Math.abs(middle.highMm - before.highMm - share * (after.highMm - before.highMm)) / 4;
      if (sharpest.xMm === null || above(doubtMm, sharpest.doubtMm))
        sharpest = { doubtMm, xMm: [(before.xMm + middle.xMm) / 2, (middle.xMm + after.xMm) / 2] };
    }
  }
  return sharpest;
};
