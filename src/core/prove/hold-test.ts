import type { Rules } from '../rules/rule-set';
import { above, atMost } from '../statistics/compare';
import { leastSquares } from '../statistics/least-squares';
import { median } from '../statistics/summary';
import { averageLeak } from './leak-average';
import { lagOne } from './leak-pair';
import type { KeptFit } from './leak-shapes';
import type { TracePoint } from './trace';
import { type Elastic, mlPerBarAt, volumeAt } from './volume';

export type HoldSample = TracePoint & { readonly tempC?: number | null | undefined };
export type HoldInput = {
  readonly trace: readonly HoldSample[];
  readonly complianceMlPerBar: number;
  readonly complianceSe?: number | null | undefined;
  readonly airMl?: number | null | undefined;
  readonly limitMlPerMin?: number | null | undefined;
  /** What the step asks for, bar. */
  readonly stepBar?: number | null | undefined;
  /** 1σ of reading a dial, bar; above 0: read by eye. */
  readonly readSeBar?: number | null | undefined;
};
const HOLD_RULES = ['limitMlPerMin', 'settleLeastBar', 'settleSharePct', 'leakFloorPct', 'fluidMl', 'fluidPerK', 'driftKPerMin'] as const;
export type HoldRules = Pick<Rules, (typeof HOLD_RULES)[number]>;

/** Why a hold failed at once, or must be held longer; null: its interval decided. */
export const HOLD_BECAUSE = ['emptied', 'falls', 'low', 'undecided', 'rising', 'still-settling', 'late'] as const;
export type HoldBecause = (typeof HOLD_BECAUSE)[number];

export type HoldTest = {
  readonly outcome: 'pass' | 'fail' | 'hold-longer';
  readonly because: HoldBecause | null;
  readonly leakMlPerMin: number;
  readonly leakCi: readonly [number, number];
  /** What was lost beyond all that settling and temperature may take: a leak of at least this, whatever the fit says. */
  readonly leakLeastMlPerMin: number;
  readonly needMoreS: number | null;
  readonly seMlPerMin: number;
  readonly settledBar: number | null;
  readonly tempShareMlPerMin: number | null;
  readonly rmsBar: number | null;
  readonly rulesUsed: HoldRules;
};
/** A hold judged, and the likeliest course of its pressure; null for one that emptied. */
export type JudgedHold = { readonly test: HoldTest; readonly fit: KeptFit | null; readonly startBar: number };

/** Least hold that can be judged: samples and s; read by eye it is longer and has fewer. @source design, chapter 9 */
export const LEAST_HOLD = { gauge: { samples: 20, spanS: 10 }, eye: { samples: 5, spanS: 30 } } as const;

const Z95 = 1.96;
/** Samples whose median is the pressure at either end. */
const END_SAMPLES = 5;
/** A verdict is given from this share of the step's pressure on. */
const ENOUGH_BAR = 0.9;
/** Longest that a hold is prolonged at once, s. */
const LONGEST_MORE_S = 900;
/** The end that must not leak by itself: s, or this share of the hold if longer. */
const [LAST_S, LAST_SHARE] = [15, 0.2];

/**
 * Is it leaking, or settling? The mean flow of a held pressure with its 95 % interval against the limit, after what is certain whatever the fit says.
 * @param input hold phase, time rising: 20 samples and 10 s at least, by eye 5 and 30 s; temperature in all samples or in none
 * @returns leak in ml/min, + when pressure falls
 * @source design, chapter 9
 */
export const holdTest = (input: HoldInput, rules: HoldRules): HoldTest => judgeHold(input, rules).test;

/** `holdTest`, with the course of the pressure to draw. */
export function judgeHold(input: HoldInput, shop: HoldRules): JudgedHold {
  const rules: HoldRules = { ...pick(shop), limitMlPerMin: input.limitMlPerMin ?? shop.limitMlPerMin };
  const limit = rules.limitMlPerMin;
  const readSeBar = input.readSeBar ?? 0;
  const elastic: Elastic = { complianceMlPerBar: input.complianceMlPerBar, airMl: Math.max(0, input.airMl ?? 0) };
  const ends = endsOf(input.trace, readSeBar > 0, rules);
  const { p0, pEnd, spanS, mostBar } = ends;
  const [worth0, lostMl] = [mlPerBarAt(elastic, p0), volumeAt(elastic, p0) - volumeAt(elastic, pEnd)];
  const warm = warmthOf(ends.trace, rules);
  const certain = (60 * (lostMl - worth0 * mostBar)) / spanS - warm.hidesMlPerMin;
  const least = Math.max(0, certain);
  const floor = (rules.leakFloorPct / 100) * limit;
  const shared = { leakLeastMlPerMin: least, tempShareMlPerMin: warm.shareMlPerMin, rulesUsed: rules };
  const complianceSe = (leak: number): number => (Math.abs(leak) * (input.complianceSe ?? 0)) / mlPerBarAt(elastic, (p0 + pEnd) / 2);

  if (ends.emptied) {
    const leak = (60 * lostMl) / spanS + (warm.shareMlPerMin ?? 0);
    const se = Math.max(floor, Math.hypot((60 * worth0 * mostBar) / Math.sqrt(3) / spanS, complianceSe(leak), warm.seMlPerMin));
    const outcome = above(leak, limit) ? 'fail' : 'hold-longer';
    const test = {
      ...shared,
      outcome,
      because: 'emptied',
      ...interval(leak, se),
      needMoreS: null,
      settledBar: null,
      rmsBar: null,
    } as const;
    return { test, fit: null, startBar: p0 };
  }
  const averaged = averageLeak(ends.trace, elastic, mostBar, readSeBar);
  const leak = averaged.leakMlPerMin + (warm.shareMlPerMin ?? 0);
  const readSe = readErrorMlPerMin({ trace: ends.trace }, worth0, readSeBar);
  const se = Math.max(floor, Math.hypot(averaged.seMlPerMin, complianceSe(leak), readSe, warm.seMlPerMin));
  const stated = interval(leak, se);
  const [low, high] = stated.leakCi;
  const decided = ((): Pick<HoldTest, 'outcome' | 'because'> => {
    if (above(least, limit)) return { outcome: 'fail', because: 'falls' };
    if (above(ENOUGH_BAR * (input.stepBar ?? 0), p0)) return { outcome: 'hold-longer', because: 'low' };
    if (above(-0.2 * limit, high)) return { outcome: 'hold-longer', because: 'rising' };
    if (atMost(high, limit))
      return above(lastLow(ends.trace, elastic, warm, floor), limit)
        ? { outcome: 'hold-longer', because: 'late' }
        : { outcome: 'pass', because: null };
    if (above(low, limit)) return { outcome: 'fail', because: null };
    return { outcome: 'hold-longer', because: averaged.stillSettling ? 'still-settling' : 'undecided' };
  })();
  const needMoreS = decided.outcome === 'hold-longer' && decided.because !== 'low' ? moreS(spanS, se, Math.abs(leak - limit)) : null;
  const test = { ...shared, ...decided, ...stated, needMoreS, settledBar: averaged.settledBar, rmsBar: averaged.rmsBar };
  return { test, fit: averaged.best, startBar: p0 };
}

const pick = (rules: HoldRules): HoldRules => Object.fromEntries(HOLD_RULES.map((name) => [name, rules[name]])) as unknown as HoldRules;

const interval = (leak: number, se: number): Pick<HoldTest, 'leakMlPerMin' | 'leakCi' | 'seMlPerMin'> => ({
  leakMlPerMin: leak,
  seMlPerMin: se,
  leakCi: [leak - Z95 * se, leak + Z95 * se],
});

type Ends = {
  /** Up to the end: what comes after half of the pressure is gone says nothing. */
  readonly trace: readonly HoldSample[];
  readonly p0: number;
  readonly pEnd: number;
  readonly spanS: number;
  readonly mostBar: number;
  readonly emptied: boolean;
};

/** Pressure that a hold starts from, bar: the first reading by eye, else the median of the first few. */
export const startBar = (bars: readonly number[], byEye: boolean): number => (byEye ? (bars[0] ?? 0) : median(bars.slice(0, END_SAMPLES)));

const endsOf = (trace: readonly HoldSample[], byEye: boolean, rules: HoldRules): Ends => {
  const bars = trace.map((s) => s.pBar);
  const startS = trace[0]?.tS ?? 0;
  const settles = (bar: number): number => Math.max(rules.settleLeastBar, (rules.settleSharePct / 100) * bar);
  const [first, soon] = [bars[0] ?? 0, startBar(bars, byEye)];
  // It fell that fast.
  const p0 = above(first - soon, settles(first)) ? first : soon;
  const half = (i: number): boolean => i > 0 && i < bars.length && atMost(bars[i] as number, p0 / 2);
  const at = bars.findIndex((_, i) => half(i) && (byEye || i === bars.length - 1 || half(i + 1)));
  const emptied = at >= 0;
  const kept = emptied ? trace.slice(0, at + 1) : trace;
  const pEnd = emptied ? (bars[at] as number) : byEye ? (bars.at(-1) ?? 0) : median(bars.slice(-END_SAMPLES));
  return { trace: kept, p0, pEnd, spanS: (kept.at(-1)?.tS ?? 0) - startS, mostBar: settles(p0), emptied };
};

type Warmth = {
  /** What warming gave back, so added to the leak, ml/min; null without a log. */
  readonly shareMlPerMin: number | null;
  readonly seMlPerMin: number;
  /** What temperature may feign of a leak, at 2σ, ml/min. */
  readonly hidesMlPerMin: number;
};

const warmthOf = (trace: readonly HoldSample[], rules: HoldRules): Warmth => {
  const perK = rules.fluidMl * rules.fluidPerK;
  const temps = trace.flatMap((s) => s.tempC ?? []);
  if (temps.length < trace.length || temps.length < 2) {
    const se = perK * rules.driftKPerMin;
    return { shareMlPerMin: null, seMlPerMin: se, hidesMlPerMin: 2 * se };
  }
  const perS = leastSquares([trace.map(() => 1), trace.map((s) => s.tS)], temps).coefficients[1] ?? 0;
  const share = perK * 60 * perS;
  return { shareMlPerMin: share, seMlPerMin: Math.abs(share) / 2, hidesMlPerMin: Math.abs(share) - share };
};

/**
 * What the scatter of the readings alone makes of a leak, 1σ, ml/min: as noise about a line, and as an error of its two ends that more readings
 * do not take out, for those to coarse steps stick together.
 * @param mlPerBar what a bar is worth
 */
export const readErrorMlPerMin = ({ trace }: Pick<HoldInput, 'trace'>, mlPerBar: number, readSeBar: number): number => {
  const mean = trace.reduce((sum, s) => sum + s.tS, 0) / trace.length;
  const spanS = (trace.at(-1)?.tS ?? 0) - (trace[0]?.tS ?? 0);
  return 60 * mlPerBar * readSeBar * Math.hypot(1 / Math.sqrt(trace.reduce((sum, s) => sum + (s.tS - mean) ** 2, 0)), Math.SQRT2 / spanS);
};

/** Lower end of the leak in the last of a hold, fitted alone, ml/min: what begins late is hidden in the mean of the whole. */
const lastLow = (trace: readonly HoldSample[], elastic: Elastic, warm: Warmth, floor: number): number => {
  const endS = trace.at(-1)?.tS ?? 0;
  const lastS = Math.max(LAST_S, LAST_SHARE * (endS - (trace[0]?.tS ?? 0)));
  const last = trace.filter((s) => s.tS >= endS - lastS - 1e-9);
  if (last.length < END_SAMPLES) return -Infinity;
  const fit = leastSquares(
    [last.map((s) => s.tS), last.map(() => 1)],
    last.map((s) => volumeAt(elastic, s.pBar)),
  );
  const rho = lagOne(fit.residuals);
  const noise = (fit.ssr / Math.max(1, last.length - 2)) * ((1 + rho) / (1 - rho));
  const se = Math.max(floor, Math.hypot(60 * Math.sqrt(noise * (fit.inverseDiagonal()[0] ?? 0)), warm.seMlPerMin));
  return -60 * (fit.coefficients[0] ?? 0) + (warm.shareMlPerMin ?? 0) - Z95 * se;
};

/** Errors that a longer hold is to bring between leak and limit: more than noise alone would need, because settling and law show later than the rate. */
const Z_DECIDE = 10;

/** The interval narrows as the hold's length to the power 3/2; a leak at the very limit is never decided. */
const moreS = (spanS: number, se: number, apart: number): number => {
  const more = spanS * (((Z_DECIDE * se) / Math.max(apart, 1e-12)) ** (2 / 3) - 1);
  return Math.min(LONGEST_MORE_S, Math.max(Math.min(LONGEST_MORE_S, spanS / 4), more));
};
