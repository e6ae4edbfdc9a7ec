import { above } from '../statistics/compare';
import { distinctAngles, foldClock } from './clock-angle';
import type { Reading } from './reading';
import { readingsByDepth, type Station, stationOf } from './station';
import { suspectsIn } from './suspects';

/** A depth whose readings do not fit an oval: what is left of them beside it, one sigma, mm. */
export type Corners = Pick<Station, 'xMm'> & { readonly residualMm: number };

/** Fewer clocks leave nothing over to tell corners from an oval. */
const LEAST_CLOCKS = 6;
/** Noise alone goes past the limit once in a thousand depths: 3.09 sigma. */
const SIGMAS = 3.09;

/**
 * Depths gauged across six clocks or more whose readings an oval does not explain. A bore of three corners gives a two-point gauge the same
 * diameter all round, so corners that show here are only the half of it.
 * @param readings at 20 °C
 * @param repeatabilityMm 1σ of the gauge
 * @source design, chapter 1, odd lobes; the limit of χ² by Wilson and Hilferty
 */
export const cornersIn = (readings: readonly Reading[], repeatabilityMm: number): readonly Corners[] => {
  const misread = new Set(suspectsIn(readings, repeatabilityMm).map((s) => s.index));
  return readingsByDepth(readings).flatMap((at) => {
    const mine = at.filter((i) => !misread.has(i)).map((i) => readings[i] as Reading);
    const clocks = distinctAngles(mine.map((r) => foldClock(r.clockDeg))).length;
    const { xMm, rmsResidualMm } = stationOf(mine, repeatabilityMm);
    if (clocks < LEAST_CLOCKS || rmsResidualMm === null) return [];
    const left = 2 / (9 * (mine.length - 3));
    const most = repeatabilityMm * (1 - left + SIGMAS * Math.sqrt(left)) ** 1.5;
    return above(rmsResidualMm, most) ? [{ xMm, residualMm: rmsResidualMm }] : [];
  });
};
