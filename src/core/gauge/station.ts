import { leastSquares } from '../statistics/least-squares';
import { mean } from '../statistics/summary';
import { angleBetween, distinctAngles, foldClock, largestGap } from './clock-angle';
import type { Reading } from './reading';

/** The form of the bore at one depth, at 20 °C. Lobes of odd order are not seen by a two-point gauge. */
export type Station = {
  readonly xMm: number;
  readonly method: 'harmonic' | 'two-point' | 'single';
  readonly meanMm: number;
  /** Largest less smallest diameter; a lower bound for `two-point`, null for `single`. */
  readonly ovalityMm: number | null;
  /** Expanded, of the ovality; null for `single`. */
  readonly ovalityUncertaintyMm: number | null;
  readonly majorAxisDeg: number | null;
  readonly rmsResidualMm: number | null;
  readonly highMm: number;
  readonly lowMm: number;
};

const SAME_DEPTH_MM = 0.25;
/** Whether two depths are one, mm. */
export const isSameDepth = (aMm: number, bMm: number): boolean => Math.abs(aMm - bMm) <= SAME_DEPTH_MM + 1e-9;
const WIDEST_GAP_DEG = 100;
/** Below this an axis has no direction, mm. */
const ROUND_MM = 1e-6;

/**
 * Readings by depth: sorted, each within 0.25 mm of its group's first.
 * @returns indices into `readings`, by depth
 */
export const readingsByDepth = (readings: readonly Reading[]): readonly (readonly number[])[] => {
  const order = readings.map((_, i) => i).sort((i, j) => (readings[i] as Reading).xMm - (readings[j] as Reading).xMm);
  const groups: number[][] = [];
  let firstMm = -Infinity;
  for (const i of order) {
    const { xMm } = readings[i] as Reading;
    if (isSameDepth(xMm, firstMm)) groups.at(-1)?.push(i);
    else {
      groups.push([i]);
      firstMm = xMm;
    }
  }
  return groups;
};

/**
 * The form at one depth, by the best method that its clock angles allow.
 * @param repeatabilityMm 1σ of the gauge, mm
 * @source design, chapter 1
 */
export const stationOf = (readings: readonly Reading[], repeatabilityMm: number): Station => {
  const folded = readings.map((r) => foldClock(r.clockDeg));
  const angles = distinctAngles(folded);
  const xMm = mean(readings.map((r) => r.xMm));
  if (angles.length >= 3 && largestGap(angles) <= WIDEST_GAP_DEG + 1e-9) return harmonic(xMm, readings, folded, repeatabilityMm);
  if (angles.length >= 2) return twoPoint(xMm, readings, folded, angles, repeatabilityMm);
  return withHighLow({
    xMm,
    method: 'single',
    meanMm: mean(readings.map((r) => r.diaMm)),
    ovalityMm: null,
    ovalityUncertaintyMm: null,
    majorAxisDeg: null,
    rmsResidualMm: null,
  });
};

/** Least squares of D = a + b·cos 2θ + c·sin 2θ. */
const harmonic = (xMm: number, readings: readonly Reading[], folded: readonly number[], repeatabilityMm: number): Station => {
  const two = folded.map((deg) => (2 * deg * Math.PI) / 180);
  const fit = leastSquares(
    [readings.map(() => 1), two.map(Math.cos), two.map(Math.sin)],
    readings.map((r) => r.diaMm),
  );
  const [a, b, c] = fit.coefficients.map((v) => v ?? 0) as [number, number, number];
  const ovalityMm = 2 * Math.hypot(b, c);
  const axis = foldClock((Math.atan2(c, b) * 90) / Math.PI);
  return withHighLow({
    xMm,
    method: 'harmonic',
    meanMm: a,
    ovalityMm,
    ovalityUncertaintyMm: 4 * repeatabilityMm * Math.sqrt(2 / readings.length),
    majorAxisDeg: ovalityMm < ROUND_MM ? null : axis,
    rmsResidualMm: readings.length > 3 ? Math.sqrt(fit.ssr / (readings.length - 3)) : null,
  });
};

const twoPoint = (
  xMm: number,
  readings: readonly Reading[],
  folded: readonly number[],
  angles: readonly number[],
  repeatabilityMm: number,
): Station => {
  const [first, second] = mostSquarePair(angles);
  const at = folded.map((deg) => nearestAngle(deg, angles));
  const diasAt = (angle: number): readonly number[] => readings.filter((_, i) => at[i] === angle).map((r) => r.diaMm);
  const [atFirst, atSecond] = [diasAt(first), diasAt(second)];
  const [p, q] = [mean(atFirst), mean(atSecond)];
  return withHighLow({
    xMm,
    method: 'two-point',
    meanMm: (p + q) / 2,
    ovalityMm: Math.abs(p - q),
    ovalityUncertaintyMm: 2 * repeatabilityMm * Math.sqrt(1 / atFirst.length + 1 / atSecond.length),
    majorAxisDeg: null,
    rmsResidualMm: null,
  });
};

/** The two angles nearest to 90° apart, the first such pair. */
const mostSquarePair = (angles: readonly number[]): readonly [number, number] => {
  let best: readonly [number, number] = [angles[0] as number, angles[1] as number];
  for (const [i, a] of angles.entries()) {
    for (const b of angles.slice(i + 1)) if (angleBetween(a, b) > angleBetween(...best) + 1e-9) best = [a, b];
  }
  return best;
};

/** The nearest counted angle; ties go to the lower. */
const nearestAngle = (deg: number, angles: readonly number[]): number =>
  angles.reduce((best, a) => (angleBetween(deg, a) < angleBetween(deg, best) - 1e-9 ? a : best));

const withHighLow = (s: Omit<Station, 'highMm' | 'lowMm'>): Station => ({
  ...s,
  highMm: s.meanMm + (s.ovalityMm ?? 0) / 2,
  lowMm: s.meanMm - (s.ovalityMm ?? 0) / 2,
});
