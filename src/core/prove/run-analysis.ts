import { z } from 'zod';
import type { Rules } from '../rules/rule-set';
import { type AirCheck, ATMOSPHERE_BAR, airCheck } from './air-check';
import { judgeHold } from './hold-test';
import { fitLeak, type LawFit, LEAK_LAW_NAMES, leakRate } from './leak-law';
import { withoutSpikes } from './spikes';
import { fillOf, holdOf } from './trace';
import { sayWarming, warmingOf } from './warming';

/** One sample of a rig: time in s, pressure in bar, fluid pushed in so far in ml, temperature in °C where the rig has a sensor. */
export const RigSample = z.object({
  t: z.number(),
  p: z.number(),
  ml: z.number(),
  c: z.number().nullish(),
  phase: z.enum(['fill', 'hold', 'down']),
});
export type RigSample = z.output<typeof RigSample>;

/** What a run's samples say, in one sentence and in figures. */
export const RunAnalysis = z.object({
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
    law: z.enum(LEAK_LAW_NAMES).default('steady'),
    atBar: z.number().default(0),
  }),
  rmsBar: z.number(),
  heldS: z.number(),
  /** Samples that stood out alone and were left out. */
  spikes: z.number().default(0),
  warming: z.object({ kPerMin: z.number(), mlPerMin: z.number() }).nullable().default(null),
});
export type RunAnalysis = z.output<typeof RunAnalysis>;

/** Least hold that can be analysed: 20 samples over 10 s. @source design, chapter 9 */
const LEAST_SAMPLES = 20;
const LEAST_S = 10;

/** Errors that a longer hold is to bring between leak and limit: more than noise alone would need, because the law of the leak shows later than its rate. */
const Z_DECIDE = 8;

/** Compliance and air from the fill, then the leak from the hold. Undefined while there is too little to say anything. */
export const analyseRun = (samples: readonly RigSample[], rules: Rules): RunAnalysis | undefined => {
  const [fill, hold] = [fillOf(samples), holdOf(samples)];
  const heldS = (hold.at(-1)?.tS ?? 0) - (hold[0]?.tS ?? 0);
  if (fill.length < 3 || hold.length < LEAST_SAMPLES || heldS < LEAST_S) return undefined;
  const { trace, spikes } = withoutSpikes(hold);
  const fitted = fitLeak(trace);
  const air = airBesideLeak(samples, fitted, rules);
  if (!(air.complianceMlPerBar > 0)) return undefined;
  const [mlPerMin, mlPerMinSe] = [
    60 * mlPerBarAt(air.complianceMlPerBar, air.airMl, fitted.atBar),
    60 * mlPerBarAt(air.complianceSe, air.airSe, fitted.atBar),
  ];
  const test = judgeHold(fitted.best, {
    leakMlPerMin: fitted.rBarPerS * mlPerMin,
    se: Math.hypot(fitted.rSe * mlPerMin, fitted.rBarPerS * mlPerMinSe),
    spanS: heldS,
    limitMlPerMin: rules.limitMlPerMin,
    zDecide: Z_DECIDE,
  });
  const figures = {
    outcome: test.outcome,
    because: test.because,
    leakMlPerMin: test.leakMlPerMin,
    leakCi: [...test.leakCi] as [number, number],
    limitMlPerMin: test.rulesUsed.limitMlPerMin,
    needMoreS: test.needMoreS,
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
    spikes,
    warming: warmingOf(samples) ?? null,
  };
  return { ...figures, sentence: sayRun(figures) };
};

/** What a bar more takes at a pressure, ml: the walls, and what is left of the air. */
const mlPerBarAt = (complianceMlPerBar: number, airMl: number, pBar: number): number =>
  complianceMlPerBar + (airMl * ATMOSPHERE_BAR) / (pBar + ATMOSPHERE_BAR) ** 2;

/** The air check of a unit that leaks: what leaked while it was filled did not press on anything, so it is taken off. Two rounds settle it: the leak rests on the compliance, and hardly. */
const airBesideLeak = (samples: readonly RigSample[], leak: LawFit, rules: Rules): AirCheck => {
  const filling = samples.filter((s) => s.phase === 'fill');
  let air = airCheck(fillOf(samples), rules);
  for (let round = 0; round < 2; round++) {
    const mlPerS = leak.rBarPerS * mlPerBarAt(air.complianceMlPerBar, air.airMl, leak.atBar);
    let lost = 0;
    const corrected = filling.map((s, i) => {
      lost += mlPerS * leakRate(leak, s.p) * (s.t - (filling[i - 1]?.t ?? 0));
      return { mlIn: s.ml - lost, pBar: Math.max(0, s.p) };
    });
    air = airCheck(corrected, rules);
  }
  return air;
};

const sayRun = (a: Omit<RunAnalysis, 'sentence'>): string => {
  const leak = `${a.leakMlPerMin.toFixed(3)} ml/min (between ${a.leakCi[0].toFixed(3)} and ${a.leakCi[1].toFixed(3)}; limit ${a.limitMlPerMin.toFixed(3)})`;
  const held = `Held ${Math.round(a.heldS)} s from ${a.fit.p0Bar.toFixed(1)} bar`;
  const beside = `${a.spikes === 0 ? '' : ` ${a.spikes === 1 ? 'One sample' : `${a.spikes} samples`} stood out alone and ${a.spikes === 1 ? 'was' : 'were'} left out.`}${a.warming === null ? '' : sayWarming(a.warming, a.limitMlPerMin)}`;
  switch (a.outcome) {
    case 'pass':
      return `${held}: it loses ${leak}. It holds.${beside}`;
    case 'fail':
      return `${held}: it loses ${leak}. It leaks.${beside}`;
    case 'hold-longer':
      return `${held}: ${leak}. ${sayBecause(a.because)} Hold it ${Math.ceil(a.needMoreS ?? a.heldS)} s longer.${beside}`;
  }
};

const sayBecause = (because: string | null): string => {
  if (because === 'rising') return 'The pressure rises: the temperature has not settled.';
  if (because === 'still-settling') return 'The rubber is still settling.';
  return 'The interval still holds the limit.';
};
