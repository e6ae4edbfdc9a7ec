import { above } from '../statistics/compare';
import { leastSquares } from '../statistics/least-squares';
import { huberFit } from '../statistics/robust';
import { mean } from '../statistics/summary';
import { distinctAngles, foldClock } from './clock-angle';
import type { Reading } from './reading';
import { readingsByDepth } from './station';

/** A reading that does not belong with the others: gauge it again. Residual = reading − fit, mm. */
export type Suspect = { readonly index: number; readonly residualMm: number };

const FEWEST_READINGS = 8;

/**
 * Readings far from a robust fit of one level (per station, or along x) and one ovality common to the bore.
 * @param readings at 20 °C
 * @param repeatabilityMm 1σ of the gauge
 * @source design, chapter 1
 */
export const suspectsIn = (readings: readonly Reading[], repeatabilityMm: number): readonly Suspect[] => {
  if (readings.length < FEWEST_READINGS) return [];
  const centre = mean(readings.map((r) => r.diaMm));
  const y = readings.map((r) => r.diaMm - centre);
  const groups = readingsByDepth(readings);
  const oval = ovalColumns(readings);
  const columns = [...depthColumns(readings, groups.length), ...oval];
  const perStation = readings.length / groups.length >= 3;
  const { residuals, sigma } = huberFit(
    (weights) => (perStation ? residualsWithin(groups, oval, y, weights) : leastSquares(columns, y, weights).residuals),
    readings.length,
    repeatabilityMm,
  );
  const limit = 4 * Math.max(sigma, repeatabilityMm);
  return residuals.map((residualMm, index) => ({ index, residualMm })).filter((s) => above(Math.abs(s.residualMm), limit));
};

/**
 * Residuals of one level a group plus columns common to all: the levels are taken out of everything first (Frisch, Waugh and Lovell),
 * which leaves a fit of the common columns only.
 */
const residualsWithin = (
  groups: readonly (readonly number[])[],
  columns: readonly (readonly number[])[],
  y: readonly number[],
  weights: readonly number[],
): readonly number[] => {
  const levelled = (values: readonly number[]): readonly number[] => {
    const left = [...values];
    for (const group of groups) {
      let [sum, weight] = [0, 0];
      for (const i of group) {
        sum += (weights[i] as number) * (values[i] as number);
        weight += weights[i] as number;
      }
      for (const i of group) left[i] = (values[i] as number) - sum / weight;
    }
    return left;
  };
  // A column that is level within every group says nothing more.
  const kept = columns.map(levelled).filter((c) => c.some((v) => Math.abs(v) > 1e-10));
  return leastSquares(kept, levelled(y), weights).residuals;
};

/** A parabola in x, as far as the stations carry it. */
const depthColumns = (readings: readonly Reading[], stations: number): readonly (readonly number[])[] => {
  const xs = readings.map((r) => r.xMm);
  const [middle, scale] = [mean(xs), Math.max(...xs) - Math.min(...xs) || 1];
  const powers = Math.min(stations, 3);
  return Array.from({ length: powers }, (_, p) => xs.map((x) => ((x - middle) / scale) ** p));
};

const ovalColumns = (readings: readonly Reading[]): readonly (readonly number[])[] => {
  const folded = readings.map((r) => foldClock(r.clockDeg));
  const angles = distinctAngles(folded);
  const radians = folded.map((deg) => (2 * deg * Math.PI) / 180);
  if (angles.length >= 3) return [radians.map(Math.cos), radians.map(Math.sin)];
  if (angles.length === 2) return [folded.map((deg) => Math.cos((2 * (deg - (angles[0] as number)) * Math.PI) / 180))];
  return [];
};
