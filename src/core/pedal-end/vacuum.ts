import { fixed } from '../quantity/figure';
import type { Rules } from '../rules/rule-set';
import { atMost } from '../statistics/compare';
import { leastSquares } from '../statistics/least-squares';

/** Vacuum below the air outside, kPa, at a time after it was shut off, s. */
export type VacuumSample = { readonly tS: number; readonly kPa: number };
/** The booster's rod left alone, or pressed in and held. */
export type RodState = 'at-rest' | 'pressed';

export type VacuumHold = {
  readonly outcome: 'holds' | 'leaks' | 'too-short' | 'no-vacuum';
  /** Fall of a straight line through the samples in 15 s, kPa; null where they do not suffice. */
  readonly dropKPa: number | null;
  readonly seconds: number;
};

/** The time that a fall is stated for, and the least vacuum a hold starts from. */
const SPAN_S = 15;
const LEAST_KPA = 40;

/**
 * Does a booster hold its vacuum? The fall in 15 s of the line of least squares through what was read.
 * @param samples 2 or more, over 15 s or more
 * @source workshop practice: drawn to two thirds of an atmosphere it may lose 3.3 kPa (25 mmHg) in 15 s; the booster's manual goes before
 */
export function vacuumHold(samples: readonly VacuumSample[], rules: Pick<Rules, 'vacuumDropKPa'>): VacuumHold {
  const times = samples.map((s) => s.tS);
  const seconds = samples.length === 0 ? 0 : Math.max(...times) - Math.min(...times);
  if (samples.length < 2 || !(seconds >= SPAN_S - 1e-9)) return { outcome: 'too-short', dropKPa: null, seconds };
  if (samples.every((s) => s.kPa < LEAST_KPA)) return { outcome: 'no-vacuum', dropKPa: null, seconds };
  const kPa = samples.map((s) => s.kPa);
  const dropKPa = -(leastSquares([samples.map(() => 1), times], kPa).coefficients[1] ?? 0) * SPAN_S;
  return { outcome: atMost(dropKPa, rules.vacuumDropKPa) ? 'holds' : 'leaks', dropKPa, seconds };
}

export const sayVacuumHold = (h: VacuumHold, limitKPa: number): string => {
  switch (h.outcome) {
    case 'too-short':
      return `Read for ${fixed(h.seconds, 0)} s: at least two readings over ${SPAN_S} s are needed.`;
    case 'no-vacuum':
      return `It never stood at ${LEAST_KPA} kPa: draw more vacuum, or find out why it does not come.`;
    case 'holds':
    case 'leaks':
      return `It loses ${fixed(Math.max(0, h.dropKPa ?? 0), 1)} kPa in ${SPAN_S} s, at most ${limitKPa} kPa: it ${h.outcome}.`;
  }
};

/** What a vacuum hold speaks of, and what not. */
export const VACUUM_COVERS = 'Said of this hold on the bench, as it stood: not of the engine’s vacuum, nor of the booster when it is hot.';

/** What a pair of holds means: where to look. Undefined while one of them is missing or says nothing. */
export const vacuumMeaning = (atRest: VacuumHold | undefined, pressed: VacuumHold | undefined): string | undefined => {
  const [a, b] = [atRest?.outcome, pressed?.outcome];
  if (a === 'leaks') return 'It leaks with the rod at rest: check valve and its grommet, front seal, or the shell’s joint.';
  if (a === 'holds' && b === 'leaks')
    return 'It holds at rest and leaks when pressed: the diaphragm, or the air valve does not close behind the rod.';
  return a === 'holds' && b === 'holds' ? 'It holds both ways: diaphragm, seals and check valve are tight.' : undefined;
};
