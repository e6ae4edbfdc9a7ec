import { SETTLED_S } from './gone-analysis';
import type { RunStep, StepOf } from './programme/step';
import type { RigSample } from './rig-sample';

/** Readings that a hold by eye takes, so that the fit has the samples it needs; and the least time between two, s. */
const READINGS = 21;
const LEAST_EVERY_S = 3;

/** When a hold by eye is to be read, s from its start; a short one is held long enough to read it. */
export const readingTimes = (holdS: number): readonly number[] => {
  const everyS = Math.max(LEAST_EVERY_S, holdS / (READINGS - 1));
  return Array.from({ length: READINGS }, (_, i) => i * everyS);
};

/** A hold by eye that goes on for so many s more is read as often as before. */
export const readOn = (times: readonly number[], moreS: number): readonly number[] => {
  const [everyS, lastS] = [(times[1] ?? 0) - (times[0] ?? 0), times.at(-1) ?? 0];
  return [...times, ...Array.from({ length: Math.ceil(moreS / everyS) }, (_, i) => lastS + (i + 1) * everyS)];
};

/** Pressures at which the fluid pumped in is read on the way up, bar. */
export const fillPressures = (targetBar: number): readonly number[] => [0.25, 0.5, 0.75, 1].map((share) => targetBar * share);

/** Fluid pumped in and the pressure it made, as read on the way up. */
export type FillReading = { readonly ml: number; readonly bar: number };
/** A pressure read so many s after the valve was shut, or the rod let go. */
export type HeldReading = { readonly tS: number; readonly bar: number; readonly tempC?: number | null };

/** Readings as the samples of a run: the way up evenly over its ramp, then the hold. */
export const holdReadings = (
  step: Pick<RunStep, 'rampS'>,
  fill: readonly FillReading[],
  held: readonly HeldReading[],
): readonly RigSample[] => {
  const mlIn = fill.at(-1)?.ml ?? 0;
  // The hold begins where the ramp ends: its first reading is a moment after.
  const shutT = step.rampS + MOMENT_S;
  return [
    ...fill.map((f, i): RigSample => ({ t: (step.rampS * (i + 1)) / fill.length, p: f.bar, ml: f.ml, phase: 'fill' })),
    ...held.map((h): RigSample => ({ t: shutT + h.tS, p: h.bar, ml: mlIn, c: h.tempC ?? null, phase: 'hold' })),
  ];
};
const MOMENT_S = 0.1;

/** When a gauge is looked at after the rod was let go, s. */
export const goneTimes = (step: StepOf<'port' | 'residual'>): readonly number[] =>
  step.kind === 'port' ? [step.withinS] : [SETTLED_S, step.holdS];

/** What a gauge showed before the rod was let go, and after. */
export const goneReadings = (fromBar: number, after: readonly HeldReading[]): readonly RigSample[] => [
  { t: 0, p: fromBar, ml: 0, phase: 'hold' },
  ...after.map((h): RigSample => ({ t: h.tS, p: h.bar, ml: 0, phase: 'gone' })),
];
