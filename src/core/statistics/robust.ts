import { median } from './summary';

/** 95 % efficiency at the normal distribution. @source Huber 1981 */
const HUBER_K = 1.345;

export type RobustFit = { readonly residuals: readonly number[]; readonly sigma: number; readonly converged: boolean };

/**
 * Huber fit by iterated weighted least squares, until no residual moves by more than 1e-11.
 * @param residualsOf the weighted least-squares fit: residuals y − fit for weights, one per row
 * @param rows how many rows there are
 * @param floor least σ used inside the weights, in the unit of y
 * @returns residuals y − fit, and σ = 1.4826·median|residual| (not floored)
 */
export function huberFit(residualsOf: (weights: readonly number[]) => readonly number[], rows: number, floor: number): RobustFit {
  let residuals = residualsOf(Array.from({ length: rows }, () => 1));
  for (let round = 0; round < 500; round++) {
    const bend = HUBER_K * Math.max(madSigma(residuals), floor, 1e-12);
    const weights = residuals.map((e) => (Math.abs(e) <= bend ? 1 : bend / Math.abs(e)));
    const next = residualsOf(weights);
    const moved = next.reduce((most, e, i) => Math.max(most, Math.abs(e - (residuals[i] as number))), 0);
    residuals = next;
    if (moved <= 1e-11) return { residuals, sigma: madSigma(residuals), converged: true };
  }
  return { residuals, sigma: madSigma(residuals), converged: false };
}

const madSigma = (residuals: readonly number[]): number => 1.4826 * median(residuals.map(Math.abs));
