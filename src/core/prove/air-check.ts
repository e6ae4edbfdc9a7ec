import type { Rules } from '../rules/rule-set';
import { above } from '../statistics/compare';
import { leastSquares } from '../statistics/least-squares';
import type { FillPoint } from './trace';

export type AirCheck = {
  readonly outcome: 'ok' | 'repeat' | 'bleed-again';
  readonly complianceMlPerBar: number;
  readonly complianceSe: number;
  readonly airMl: number;
  readonly airSe: number;
  readonly rulesUsed: Pick<Rules, 'airMaxMl'>;
};

/** Atmosphere, bar: air of volume V₀ at 0 bar on the gauge gives up V₀·p/(p + 1.013). */
export const ATMOSPHERE_BAR = 1.013;

/**
 * Is there air in it? Least squares of the fluid pushed in: ml = C·p + V₀·p/(p + 1.013).
 * @param fill 3 samples or more, 2 distinct pressures above 0
 * @param readSe standard error of one reading, ml: what the fit leaves over says less where few were read in coarse steps
 * @source design, chapter 10; Boyle's law
 */
export function airCheck(fill: readonly FillPoint[], rules: Pick<Rules, 'airMaxMl'>, readSe = 0): AirCheck {
  const p = fill.map((f) => f.pBar);
  const solved = leastSquares(
    [p, p.map((v) => v / (v + ATMOSPHERE_BAR))],
    fill.map((f) => f.mlIn),
  );
  const variance = Math.max(solved.ssr / (fill.length - 2), readSe ** 2);
  const inverse = solved.inverseDiagonal();
  const se = (column: number): number => Math.sqrt(variance * (inverse[column] ?? 0));
  const [complianceMlPerBar, airMl] = [solved.coefficients[0] ?? 0, solved.coefficients[1] ?? 0];
  const [complianceSe, airSe] = [se(0), se(1)];
  const { airMaxMl } = rules;
  const outcome = above(airMl - 2 * airSe, airMaxMl) ? 'bleed-again' : above(airMl + 2 * airSe, airMaxMl) ? 'repeat' : 'ok';
  return { outcome, complianceMlPerBar, complianceSe, airMl, airSe, rulesUsed: { airMaxMl } };
}
