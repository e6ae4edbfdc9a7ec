import { leastSquares } from '../statistics/least-squares';
import type { TracePoint } from './trace';

/** P(t) = p₀ − A·(1 − e^(−t/τ)) − r·t, t from the first sample. Units bar and s; τ null when nothing settles (A = 0). */
export type SettlingFit = {
  readonly p0Bar: number;
  readonly aBar: number;
  readonly tauS: number | null;
  readonly rBarPerS: number;
  readonly rSe: number;
  readonly rho: number;
  readonly converged: boolean;
};

export type FittedTrace = {
  readonly fit: SettlingFit;
  readonly residuals: readonly number[];
  readonly rmsBar: number;
  readonly tauAtUpper: boolean;
};

const SHORTEST_TAU_S = 1;
/** How finely τ is searched before the best bracket is refined. */
const SCAN_STEPS = 48;

/**
 * Separates settling rubber from a steady leak. For a given τ the model is linear, so the best τ is found in one dimension:
 * a scan over its whole range, then the zero of the sum of squares' slope in the best bracket. No starting guess can miss the optimum.
 * The standard error of r is the Jacobian's, widened for the lag-1 autocorrelation of the residuals.
 * @param trace at least 5 samples, time rising
 * @param clock what the leak runs by, s, one for each sample: time, unless the leak follows the pressure
 * @source design, chapter 9; variable projection, Golub & Pereyra 1973
 */
export function fitSettling(trace: readonly TracePoint[], clock?: readonly number[]): FittedTrace {
  const start = trace[0]?.tS ?? 0;
  const t: Times = { settles: trace.map((s) => s.tS - start), leaks: clock ?? trace.map((s) => s.tS - start) };
  const p = trace.map((s) => s.pBar);
  const longest = (t.settles.at(-1) as number) / 3;
  const taus = Array.from({ length: SCAN_STEPS + 1 }, (_, i) => SHORTEST_TAU_S * (longest / SHORTEST_TAU_S) ** (i / SCAN_STEPS));
  const scanned = taus.map((tau) => atTau(t, p, tau));
  const at = scanned.reduce((best, s, i) => (s.ssr < (scanned[best] as AtTau).ssr ? i : best), 0);
  const best = refine(t, p, taus[Math.max(0, at - 1)] as number, taus[Math.min(SCAN_STEPS, at + 1)] as number, scanned[at] as AtTau);
  const line = atTau(t, p, null);
  // No settling to speak of: the straight line explains the trace as well.
  if (!(best.aBar > 1e-9) || !(best.ssr < line.ssr)) return withErrors(t, line, false, true);
  return withErrors(t, best, best.tau === taus[SCAN_STEPS], best.converged);
}

/** Time that rubber settles by, and what the leak runs by, s. */
type Times = { readonly settles: readonly number[]; readonly leaks: readonly number[] };

type AtTau = {
  readonly tau: number | null;
  readonly p0Bar: number;
  readonly aBar: number;
  readonly rBarPerS: number;
  readonly residuals: readonly number[];
  readonly ssr: number;
  readonly slope: number;
};

/** The best p₀, A ≥ 0 and r for one τ (null: no settling), and the slope of the sum of squares in τ there. */
const atTau = (times: Times, p: readonly number[], tau: number | null): AtTau => {
  const t = times.settles;
  const ones = t.map(() => 1);
  const leaks = times.leaks.map((s) => -s);
  const settle = tau === null ? [] : t.map((s) => Math.expm1(-s / tau));
  const solved = leastSquares(tau === null ? [ones, leaks] : [ones, leaks, settle], p);
  const [p0Bar, rBarPerS, a] = solved.coefficients;
  const aBar = a ?? 0;
  if (tau !== null && aBar < 0) return { ...atTau(times, p, null), tau };
  const slope =
    tau === null
      ? 0
      : -2 *
        solved.residuals.reduce((sum, e, i) => sum + e * ((aBar * (t[i] as number)) / tau ** 2) * Math.exp(-(t[i] as number) / tau), 0);
  return { tau, p0Bar: p0Bar ?? 0, aBar, rBarPerS: rBarPerS ?? 0, residuals: solved.residuals, ssr: solved.ssr, slope };
};

/** Bisects the slope of the sum of squares to its zero; stays at an end of the range where the sum still falls toward it. */
const refine = (
  t: Times,
  p: readonly number[],
  lowTau: number,
  highTau: number,
  scanned: AtTau,
): AtTau & { readonly converged: boolean } => {
  let [low, high] = [lowTau, highTau];
  const [atLow, atHigh] = [atTau(t, p, low), atTau(t, p, high)];
  if (scanned.tau === low && atLow.slope >= 0) return { ...atLow, converged: true };
  if (scanned.tau === high && atHigh.slope <= 0) return { ...atHigh, converged: true };
  let middle = scanned;
  for (let round = 0; round < 80 && high - low > 1e-11 * high; round++) {
    middle = atTau(t, p, (low + high) / 2);
    if (middle.slope > 0) high = middle.tau as number;
    else low = middle.tau as number;
  }
  return middle.ssr <= scanned.ssr + 1e-12 ? { ...middle, converged: true } : { ...scanned, converged: false };
};

const withErrors = (times: Times, best: AtTau, tauAtUpper: boolean, converged: boolean): FittedTrace => {
  const t = times.settles;
  const settles = best.aBar > 0 && best.tau !== null && best.tau > 0;
  const tau = settles ? (best.tau as number) : null;
  const free = tau !== null && !tauAtUpper && tau > SHORTEST_TAU_S;
  const columns = [times.leaks.map((s) => -s), t.map(() => 1)];
  if (tau !== null) columns.push(t.map((s) => Math.expm1(-s / tau)));
  if (tau !== null && free) columns.push(t.map((s) => ((best.aBar * s) / tau ** 2) * Math.exp(-s / tau)));
  const variance = best.ssr / (t.length - columns.length);
  const rho = lagOne(best.residuals);
  const rSe = Math.sqrt(variance * (leastSquares(columns, best.residuals).inverseDiagonal()[0] ?? 0)) * Math.sqrt((1 + rho) / (1 - rho));
  const fit = { p0Bar: best.p0Bar, aBar: settles ? best.aBar : 0, tauS: tau, rBarPerS: best.rBarPerS, rSe, rho, converged };
  return { fit, residuals: best.residuals, rmsBar: Math.sqrt(best.ssr / t.length), tauAtUpper: settles && tauAtUpper };
};

/** Lag-1 autocorrelation of residuals, corrected for its bias, within 0 … 0.95. @source design, chapter 9 */
const lagOne = (e: readonly number[]): number => {
  const power = e.reduce((sum, v) => sum + v * v, 0);
  if (!(power > 0)) return 0;
  const raw = e.slice(1).reduce((sum, v, i) => sum + v * (e[i] as number), 0) / power;
  return Math.min(0.95, Math.max(0, raw + (4 * (1 + raw)) / e.length));
};
