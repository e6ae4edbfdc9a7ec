import { z } from 'zod';
import { sayFlow } from '../quantity/say';
import type { Rules } from '../rules/rule-set';
import { median } from '../statistics/summary';
import { type AirCheck, ATMOSPHERE_BAR, airCheck } from './air-check';
import { judgeHold } from './hold-test';
import { fitLeak, type LawFit, LEAK_LAW_NAMES, leakRate } from './leak-law';
import type { RigSample } from './rig-sample';
import { withoutSpikes } from './spikes';
import { fillOf, holdOf, type TracePoint } from './trace';
import { couldTurn, sayRising, sayWarming, warmingOf } from './warming';

/** What the samples of a hold say, in one sentence and in figures. */
export const HoldAnalysis = z.object({
  kind: z.literal('hold'),
  sentence: z.string(),
  outcome: z.enum(['pass', 'fail', 'hold-longer']),
  because: z.string().nullable(),
  leakMlPerMin: z.number(),
  leakCi: z.tuple([z.number(), z.number()]),
  limitMlPerMin: z.number(),
  needMoreS: z.number().nullable(),
  complianceMlPerBar: z.number(),
  airMl: z.number(),
  airOutcome: z.enum(['ok', 'repeat', 'bleed-again']),
  fit: z.object({
    p0Bar: z.number(),
    aBar: z.number(),
    tauS: z.number().nullable(),
    rBarPerS: z.number(),
    law: z.enum(LEAK_LAW_NAMES),
    atBar: z.number(),
  }),
  rmsBar: z.number(),
  heldS: z.number(),
  /** Samples that stood out alone and were left out. */
  spikes: z.number(),
  /** The longest time without a sample, s, where it is much longer than usual; else null. */
  gapS: z.number().nullable(),
  warming: z.object({ kPerMin: z.number(), mlPerMin: z.number() }).nullable(),
  /** The smallest step that its gauge was read to, and what that widens the interval by; null: a rig's, finer than its noise. */
  readTo: z.object({ bar: z.number(), mlPerMin: z.number() }).nullable(),
});
export type HoldAnalysis = z.output<typeof HoldAnalysis>;

/** Least hold that can be analysed: 20 samples over 10 s. @source design, chapter 9 */
const LEAST_SAMPLES = 20;
const LEAST_S = 10;

/** Errors that a longer hold is to bring between leak and limit: more than noise alone would need, because the law of the leak shows later than its rate. */
const Z_DECIDE = 8;

/** The smallest steps that pressure and fluid were read to: a dial's half division, a burette's mark; nought where noise hides them. */
export type ReadTo = { readonly bar: number; readonly ml: number };
export const FINE: ReadTo = { bar: 0, ml: 0 };
/** Standard error of a figure read to steps of 1: it lies anywhere in its step. @source JCGM 100:2008, 4.3.7 */
const STEP_SE = 1 / Math.sqrt(12);

/**
 * Compliance and air from the fill, then the leak from the hold.
 * Readings in coarse steps stick together, so the rate is no better known than from the first and the last of them.
 * @param limitMlPerMin what it may lose
 * @returns undefined while there is too little to say anything
 */
export const holdAnalysis = (
  samples: readonly RigSample[],
  limitMlPerMin: number,
  rules: Rules,
  readTo: ReadTo = FINE,
): HoldAnalysis | undefined => {
  const hold = holdOf(samples);
  const heldS = (hold.at(-1)?.tS ?? 0) - (hold[0]?.tS ?? 0);
  if (fillOf(samples).length < 3 || hold.length < LEAST_SAMPLES || heldS < LEAST_S) return undefined;
  const filling = withoutSpikes(samples.filter((s) => s.phase === 'fill'));
  const holding = withoutSpikes(samples.filter((s) => s.phase === 'hold'));
  const fitted = fitLeak(holdOf(holding.kept));
  const air = airBesideLeak(filling.kept, fitted, rules, readTo);
  if (!(air.complianceMlPerBar > 0)) return undefined;
  const [mlPerMin, mlPerMinSe] = [
    60 * mlPerBarAt(air.complianceMlPerBar, air.airMl, fitted.atBar),
    60 * mlPerBarAt(air.complianceSe, air.airSe, fitted.atBar),
  ];
  const readSe = readingSe(fitted, readTo.bar, heldS) * mlPerMin;
  const test = judgeHold(fitted.best, {
    leakMlPerMin: fitted.rBarPerS * mlPerMin,
    se: Math.hypot(fitted.rSe * mlPerMin, fitted.rBarPerS * mlPerMinSe, readSe),
    spanS: heldS,
    limitMlPerMin,
    zDecide: Z_DECIDE,
  });
  const warming = warmingOf(samples) ?? null;
  const turned = warming !== null && couldTurn(warming, test.outcome, test.leakCi, limitMlPerMin);
  const figures = {
    kind: 'hold' as const,
    ...(turned ? { outcome: 'hold-longer' as const, because: 'temperature' } : { outcome: test.outcome, because: test.because }),
    leakMlPerMin: test.leakMlPerMin,
    leakCi: [...test.leakCi] as [number, number],
    limitMlPerMin: test.rulesUsed.limitMlPerMin,
    needMoreS: turned ? heldS : test.needMoreS,
    complianceMlPerBar: air.complianceMlPerBar,
    airMl: air.airMl,
    airOutcome: air.outcome,
    fit: {
      p0Bar: test.fit.p0Bar,
      aBar: test.fit.aBar,
      tauS: test.fit.tauS,
      rBarPerS: test.fit.rBarPerS,
      law: fitted.law,
      atBar: fitted.atBar,
    },
    rmsBar: test.rmsBar,
    heldS,
    spikes: filling.spikes + holding.spikes,
    gapS: longestGap(hold) ?? null,
    warming,
    readTo: readTo.bar > 0 ? { bar: readTo.bar, mlPerMin: 1.96 * readSe } : null,
  };
  return { ...figures, sentence: sayHold(figures) };
};

/** What reading in steps adds to the error of the rate, bar/s: the steps as noise in the fit, were it as fine as it looks, and as an error of the two ends that more readings do not take out. */
const readingSe = ({ best, rSe }: LawFit, stepBar: number, spanS: number): number => {
  if (stepBar === 0) return 0;
  const one = STEP_SE * stepBar;
  const inFit = best.rmsBar > 0 ? (rSe * one) / best.rmsBar : 0;
  return Math.hypot(inFit, (Math.SQRT2 * one) / spanS);
};

/** A step in time above so many of the usual ones is a gap. @source design, chapter 9 */
const GAP_STEPS = 5;

const longestGap = (trace: readonly TracePoint[]): number | undefined => {
  const steps = trace.slice(1).map((s, i) => s.tS - (trace[i]?.tS ?? 0));
  const longest = Math.max(...steps);
  return longest > GAP_STEPS * median(steps) ? longest : undefined;
};

/** What a bar more takes at a pressure, ml: the walls, and what is left of the air. */
const mlPerBarAt = (complianceMlPerBar: number, airMl: number, pBar: number): number =>
  complianceMlPerBar + (airMl * ATMOSPHERE_BAR) / (pBar + ATMOSPHERE_BAR) ** 2;

/** The air check of a unit that leaks: what leaked while it was filled did not press on anything, so it is taken off. Two rounds settle it: the leak rests on the compliance, and hardly. */
const airBesideLeak = (filling: readonly RigSample[], leak: LawFit, rules: Rules, readTo: ReadTo): AirCheck => {
  let air = airCheck(fillOf(filling), rules);
  for (let round = 0; round < 2; round++) {
    const mlPerS = leak.rBarPerS * mlPerBarAt(air.complianceMlPerBar, air.airMl, leak.atBar);
    let lost = 0;
    const corrected = filling.map((s, i) => {
      lost += mlPerS * leakRate(leak, s.p) * (s.t - (filling[i - 1]?.t ?? 0));
      return { mlIn: s.ml - lost, pBar: Math.max(0, s.p) };
    });
    air = airCheck(corrected, rules, STEP_SE * Math.hypot(readTo.ml, readTo.bar * air.complianceMlPerBar));
  }
  return air;
};

/** What widens an interval by less does not show in its figures. */
const TOLD_ML_PER_MIN = 0.0005;

const sayHold = (a: Omit<HoldAnalysis, 'sentence'>): string => {
  const leak = `${sayFlow(a.leakMlPerMin)} ml/min (between ${sayFlow(a.leakCi[0])} and ${sayFlow(a.leakCi[1])}; limit ${sayFlow(a.limitMlPerMin)})`;
  const held = `Held ${Math.round(a.heldS)} s from ${a.fit.p0Bar.toFixed(1)} bar`;
  const beside = `${a.spikes === 0 ? '' : ` ${a.spikes === 1 ? 'One sample' : `${a.spikes} samples`} stood out alone and ${a.spikes === 1 ? 'was' : 'were'} left out.`}${a.gapS === null ? '' : ` For ${Math.round(a.gapS)} s nothing was measured.`}${a.warming === null ? '' : sayWarming(a.warming, a.limitMlPerMin)}${a.readTo === null || a.readTo.mlPerMin < TOLD_ML_PER_MIN ? '' : ` Read to ${a.readTo.bar} bar, which alone widens the interval by ±${a.readTo.mlPerMin.toFixed(3)} ml/min.`}`;
  switch (a.outcome) {
    case 'pass':
      return `${held}: it loses ${leak}. It holds.${beside}`;
    case 'fail':
      return `${held}: it loses ${leak}. It leaks.${beside}`;
    case 'hold-longer':
      return `${held}: ${leak}. ${sayBecause(a)} Hold it ${Math.ceil(a.needMoreS ?? a.heldS)} s longer.${beside}`;
  }
};

const sayBecause = (a: Pick<HoldAnalysis, 'because' | 'warming' | 'limitMlPerMin'>): string => {
  if (a.because === 'rising') return sayRising(a.warming, a.limitMlPerMin);
  if (a.because === 'still-settling') return 'The rubber is still settling.';
  if (a.because === 'temperature') return 'The temperature could turn the verdict.';
  return 'The interval still holds the limit.';
};
