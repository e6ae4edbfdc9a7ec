import { fixed } from '../quantity/figure';
/** Change of temperature over a hold, K a minute, and the flow that it passes for, ml/min: above nought it hides a leak, below it feigns one. */
export type Warming = { readonly kPerMin: number; readonly mlPerMin: number };

/** Does it pass for so much of the limit that it is worth a word: a fifth or more. */
const matters = ({ mlPerMin }: Warming, limitMlPerMin: number): boolean => Math.abs(mlPerMin) >= limitMlPerMin / 5;

/** Why pressure rises, as far as the temperature knows. */
export const sayRising = (w: Warming | null, limitMlPerMin: number): string =>
  w === null || matters(w, limitMlPerMin)
    ? 'The pressure rises: the temperature has not settled.'
    : 'The pressure rises and the temperature does not: look at the sensor, and whether the pump still feeds.';

export const sayWarming = (w: Warming, limitMlPerMin: number): string =>
  !matters(w, limitMlPerMin)
    ? ''
    : w.kPerMin > 0
      ? ` It warmed by ${fixed(w.kPerMin, 1)} °C a minute, which hid about ${fixed(w.mlPerMin, 3)} ml/min: it is added, and half of it is doubt.`
      : ` It cooled by ${fixed(-w.kPerMin, 1)} °C a minute, which passed for about ${fixed(-w.mlPerMin, 3)} ml/min: it is taken off, and half of it is doubt.`;
