import { z } from 'zod';
import { fixed, upTo } from '../quantity/figure';
import { sayFlow } from '../quantity/say';
import type { Rules } from '../rules/rule-set';
import { LATER } from '../schema/stored';
import { median } from '../statistics/summary';
import { type AirCheck, airCheck } from './air-check';
import { type HoldInput, type JudgedHold, judgeHold, LEAST_HOLD, readErrorMlPerMin, startBar } from './hold-test';
import { LEAK_LAW_NAMES, LEAK_LAWS, SETTLING_NAMES } from './leak-shapes';
import type { RigSample } from './rig-sample';
import type { RunWay } from './run-way';
import { withoutSpikes } from './spikes';
import { fillOf, holdOf, type TracePoint } from './trace';
import { mlPerBarAt } from './volume';
import { sayRising, sayWarming } from './warming';

/** What the samples of a hold say, in one sentence and in figures. */
export const HoldAnalysis = z.object({
  kind: z.literal('hold'),
  sentence: z.string(),
  outcome: z.enum(['pass', 'fail', 'hold-longer']),
  because: z.string().nullable(),
  leakMlPerMin: z.number(),
  leakCi: z.tuple([z.number(), z.number()]),
  /** What is certain beyond settling and temperature. */
  leakLeastMlPerMin: z.number().nullable().register(LATER, { standard: null }),
  limitMlPerMin: z.number(),
  needMoreS: z.number().nullable(),
  startBar: z.number().nullable().register(LATER, { standard: null }),
  stepBar: z.number().nullable().register(LATER, { standard: null }),
  complianceMlPerBar: z.number(),
  airMl: z.number(),
  airOutcome: z.enum(['ok', 'repeat', 'bleed-again']),
  /** The likeliest course, to draw; null for a hold that emptied. */
  fit: z
    .object({
      p0Bar: z.number(),
      settling: z.enum(SETTLING_NAMES).register(LATER, { standard: 'exponential' }),
      aBar: z.number(),
      tauS: z.number().nullable(),
      rBarPerS: z.number(),
      law: z.enum(LEAK_LAW_NAMES),
      onsetS: z.number().register(LATER, { standard: 0 }),
      atBar: z.number(),
    })
    .nullable(),
  rmsBar: z.number().nullable(),
  /** By the end, over all that it may have been. */
  settledBar: z.number().nullable().register(LATER, { standard: null }),
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

/** The smallest steps that pressure and fluid were read to: a dial's half division, a burette's mark; nought where noise hides them. */
export type ReadTo = { readonly bar: number; readonly ml: number };
export const FINE: ReadTo = { bar: 0, ml: 0 };
/** Standard error of a figure read to steps of 1: it lies anywhere in its step. @source JCGM 100:2008, 4.3.7 */
const STEP_SE = 1 / Math.sqrt(12);

/** What a hold is judged by beside its samples: what it may lose, what its step asks for, and how it was read. */
export type HoldContext = {
  readonly limitMlPerMin: number;
  readonly stepBar: number;
  readonly rules: Rules;
  readonly readTo: ReadTo;
  readonly way: RunWay;
};

/**
 * Compliance and air from the fill, then the leak from the hold, by the calculation of the wire.
 * @returns undefined while there is too little to say anything
 */
export const holdAnalysis = (samples: readonly RigSample[], c: HoldContext): HoldAnalysis | undefined => {
  const hold = holdOf(samples);
  const heldS = (hold.at(-1)?.tS ?? 0) - (hold[0]?.tS ?? 0);
  const byEye = c.way === 'by-hand';
  const least = byEye ? LEAST_HOLD.eye : LEAST_HOLD.gauge;
  if (fillOf(samples).length < 3 || hold.length < least.samples || heldS < least.spanS) return undefined;
  const filling = withoutSpikes(samples.filter((s) => s.phase === 'fill'));
  const holding = withoutSpikes(samples.filter((s) => s.phase === 'hold'));
  const logged = holding.kept.every((s) => s.c != null);
  const readSeBar = STEP_SE * c.readTo.bar;
  const asked = {
    trace: holding.kept.map((s) => ({ tS: s.t, pBar: s.p, tempC: logged ? s.c : null })),
    stepBar: c.stepBar,
    limitMlPerMin: c.limitMlPerMin,
    readSeBar: byEye ? readSeBar : 0,
  };
  if (
    !(
      startBar(
        asked.trace.map((s) => s.pBar),
        byEye,
      ) > 0
    )
  )
    return undefined;
  const checked = airBesideLeak(filling.kept, asked, c);
  if (checked === undefined) return undefined;
  const { air, hold: judged } = checked;
  const { test } = judged;
  const kPerMin = test.tempShareMlPerMin === null ? null : test.tempShareMlPerMin / (c.rules.fluidMl * c.rules.fluidPerK);
  const figures = {
    kind: 'hold' as const,
    outcome: test.outcome,
    because: test.because,
    leakMlPerMin: test.leakMlPerMin,
    leakCi: [...test.leakCi] as [number, number],
    leakLeastMlPerMin: test.leakLeastMlPerMin,
    limitMlPerMin: c.limitMlPerMin,
    needMoreS: test.needMoreS,
    startBar: judged.startBar,
    stepBar: c.stepBar,
    complianceMlPerBar: air.complianceMlPerBar,
    airMl: air.airMl,
    airOutcome: air.outcome,
    fit: judged.fit,
    rmsBar: test.rmsBar,
    settledBar: test.settledBar,
    heldS,
    spikes: filling.spikes + holding.spikes,
    gapS: longestGap(hold) ?? null,
    warming: test.tempShareMlPerMin === null || kPerMin === null ? null : { kPerMin, mlPerMin: test.tempShareMlPerMin },
    readTo:
      c.readTo.bar > 0
        ? { bar: c.readTo.bar, mlPerMin: 1.96 * readErrorMlPerMin(asked, mlPerBarAt(air, judged.startBar), readSeBar) }
        : null,
  };
  return { ...figures, sentence: sayHold(figures) };
};

/** A step in time above so many of the usual ones is a gap. @source design, chapter 9 */
const GAP_STEPS = 5;

const longestGap = (trace: readonly TracePoint[]): number | undefined => {
  const steps = trace.slice(1).map((s, i) => s.tS - (trace[i]?.tS ?? 0));
  const longest = Math.max(...steps);
  return longest > GAP_STEPS * median(steps) ? longest : undefined;
};

type Asked = Pick<HoldInput, 'trace' | 'stepBar' | 'limitMlPerMin' | 'readSeBar'>;

/** The air check of a unit that leaks: what leaked while it was filled did not press on anything, so it is taken off. Two rounds settle it: the leak rests on the compliance, and hardly. */
const airBesideLeak = (
  filling: readonly RigSample[],
  asked: Asked,
  { rules, readTo }: HoldContext,
): { readonly air: AirCheck; readonly hold: JudgedHold } | undefined => {
  const judge = (air: AirCheck): JudgedHold => judgeHold({ ...asked, ...air }, rules);
  let air = airCheck(fillOf(filling), rules, STEP_SE * readTo.ml);
  if (!(air.complianceMlPerBar > 0)) return undefined;
  let hold = judge(air);
  for (let round = 0; round < 2; round++) {
    const { fit } = hold;
    // One that emptied leaked as it did in the hold; by which law is not known.
    const mlPerS = hold.test.leakMlPerMin / 60;
    const power = fit === null ? 0 : LEAK_LAWS[fit.law];
    const atBar = fit?.atBar ?? hold.startBar;
    let lost = 0;
    const corrected = filling.map((s, i) => {
      if (fit?.law !== 'late') lost += mlPerS * (Math.max(0, s.p) / atBar) ** power * (s.t - (filling[i - 1]?.t ?? 0));
      return { mlIn: s.ml - lost, pBar: Math.max(0, s.p) };
    });
    air = airCheck(corrected, rules, STEP_SE * Math.hypot(readTo.ml, readTo.bar * air.complianceMlPerBar));
    if (!(air.complianceMlPerBar > 0)) return undefined;
    hold = judge(air);
  }
  return { air, hold };
};

/** What widens an interval by less does not show in its figures. */
const TOLD_ML_PER_MIN = 0.0005;

const sayHold = (a: Omit<HoldAnalysis, 'sentence'>): string => {
  const leak = `${sayFlow(a.leakMlPerMin)} ml/min (between ${sayFlow(a.leakCi[0])} and ${sayFlow(a.leakCi[1])}; limit ${sayFlow(a.limitMlPerMin)})`;
  const held = `Held ${Math.round(a.heldS)} s from ${fixed(a.startBar ?? 0, 1)} bar`;
  const beside = besides(a);
  switch (a.outcome) {
    case 'pass':
      return `${held}: it loses ${leak}. It holds.${beside}`;
    case 'fail':
      return `${held}: ${sayFailed(a, leak)} It leaks.${beside}`;
    case 'hold-longer':
      return `${held}: ${leak}. ${sayBecause(a)}${a.needMoreS === null ? '' : ` Hold it ${Math.ceil(a.needMoreS)} s longer.`}${beside}`;
  }
};

const sayFailed = (a: Omit<HoldAnalysis, 'sentence'>, leak: string): string => {
  if (a.because === 'emptied') return `half of the pressure is gone, ${leak}.`;
  if (a.because === 'falls')
    return `it lost more than settling and temperature can take, ${sayFlow(a.leakLeastMlPerMin ?? 0)} ml/min at least (limit ${sayFlow(a.limitMlPerMin)}).`;
  return `it loses ${leak}.${a.fit?.law === 'late' ? ' It held at first; something gave way later.' : ''}`;
};

const besides = (a: Omit<HoldAnalysis, 'sentence'>): string =>
  [
    a.spikes === 0
      ? ''
      : ` ${a.spikes === 1 ? 'One sample' : `${a.spikes} samples`} stood out alone and ${a.spikes === 1 ? 'was' : 'were'} left out.`,
    a.gapS === null ? '' : ` For ${Math.round(a.gapS)} s nothing was measured.`,
    a.warming === null ? '' : sayWarming(a.warming, a.limitMlPerMin),
    a.readTo === null || a.readTo.mlPerMin < TOLD_ML_PER_MIN
      ? ''
      : ` Read to ${a.readTo.bar} bar, which alone widens the interval by ±${fixed(a.readTo.mlPerMin, 3)} ml/min.`,
  ].join('');

const sayBecause = (a: Pick<HoldAnalysis, 'because' | 'warming' | 'limitMlPerMin' | 'stepBar' | 'startBar'>): string => {
  switch (a.because) {
    case 'emptied':
      return 'Half of the pressure is gone, and hardly any fluid with it: look for cooling, and pump it up again.';
    case 'low':
      return `That is below its step: pump it up to ${upTo(a.stepBar ?? 0, 1)} bar again.`;
    case 'rising':
      return sayRising(a.warming, a.limitMlPerMin);
    case 'late':
      return 'Most of it held, but the end of it leaks: something gave way late.';
    case 'still-settling':
      return 'The rubber is still settling.';
    // Runs of before that the temperature could have turned.
    case 'temperature':
      return 'The temperature could turn the verdict.';
    default:
      return 'The interval still holds the limit.';
  }
};
