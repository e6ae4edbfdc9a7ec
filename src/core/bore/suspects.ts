import { above } from '../statistics/compare';
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
  const { residuals, sigma } = huberFit(
    [...levelColumns(readings), ...ovalColumns(readings)],
    readings.map((r) => r.diaMm - centre),
    repeatabilityMm,
  );
  const limit = 4 * Math.max(sigma, repeatabilityMm);
  return residuals.map((residualMm, index) => ({ index, residualMm })).filter((s) => above(Math.abs(s.residualMm), limit));
};

/** One level a station where stations average 3 readings or more, else a parabola in x, as far as the stations carry it. */
const levelColumns = (readings: readonly Reading[]): readonly (readonly number[])[] => {
  const groups = readingsByDepth(readings);
  if (readings.length / groups.length >= 3) return groups.map((g) => readings.map((_, i) => (g.includes(i) ? 1 : 0)));
  const xs = readings.map((r) => r.xMm);
  const [middle, scale] = [mean(xs), Math.max(...xs) - Math.min(...xs) || 1];
  const powers = Math.min(groups.length, 3);
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
