import { leastSquares } from '../statistics/least-squares';
import type { RigSample } from './rig-sample';

/** How much more fluid grows than the body around it, a K. @source design, chapter 9: 30 ml warming 1 °C a minute is nearly half of the default limit of 0.05 ml/min */
const GROWTH_PER_K = 7.6e-4;
/** Fluid in unit, hose and rig where nobody has said, ml. */
const USUAL_ML = 30;

/** Change of temperature over a hold, K a minute, and the flow that it passes for, ml/min: above nought it hides a leak, below it feigns one. */
export type Warming = { readonly kPerMin: number; readonly mlPerMin: number };

/** What the temperature did over a hold; undefined where it was not logged throughout. */
export const warmingOf = (samples: readonly RigSample[]): Warming | undefined => {
  const held = samples.filter((s) => s.phase === 'hold');
  const temps = held.flatMap((s) => (s.c == null ? [] : [s.c]));
  if (temps.length < 2 || temps.length < held.length) return undefined;
  const perS = leastSquares([held.map(() => 1), held.map((s) => s.t)], temps).coefficients[1] ?? 0;
  return { kPerMin: perS * 60, mlPerMin: perS * 60 * USUAL_ML * GROWTH_PER_K };
};

/** Does it pass for so much of the limit that it is worth a word: a fifth or more. */
const matters = ({ mlPerMin }: Warming, limitMlPerMin: number): boolean => Math.abs(mlPerMin) >= limitMlPerMin / 5;

/** Could what the temperature hides or feigns turn a verdict: a pass that hides a leak, a failure that is none. */
export const couldTurn = (
  w: Warming,
  outcome: 'pass' | 'fail' | 'hold-longer',
  [low, high]: readonly [number, number],
  limitMlPerMin: number,
): boolean =>
  matters(w, limitMlPerMin) &&
  ((outcome === 'pass' && high + w.mlPerMin > limitMlPerMin) || (outcome === 'fail' && low + w.mlPerMin <= limitMlPerMin));

/** Why pressure rises, as far as the temperature knows. */
export const sayRising = (w: Warming | null, limitMlPerMin: number): string =>
  w === null || matters(w, limitMlPerMin)
    ? 'The pressure rises: the temperature has not settled.'
    : 'The pressure rises and the temperature does not: look at the sensor, and whether the pump still feeds.';

export const sayWarming = (w: Warming, limitMlPerMin: number): string =>
  !matters(w, limitMlPerMin)
    ? ''
    : w.kPerMin > 0
      ? ` It warmed by ${w.kPerMin.toFixed(1)} °C a minute, which hides about ${w.mlPerMin.toFixed(3)} ml/min: let it settle and hold it again.`
      : ` It cooled by ${(-w.kPerMin).toFixed(1)} °C a minute, which passes for about ${(-w.mlPerMin).toFixed(3)} ml/min: let it settle and hold it again.`;
