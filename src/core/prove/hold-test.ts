import type { Rules } from '../rules/rule-set';
import { above, atMost } from '../statistics/compare';
import { type FittedTrace, fitSettling, type SettlingFit } from './settling-fit';
import type { TracePoint } from './trace';

export type HoldInput = {
  readonly trace: readonly TracePoint[];
  readonly complianceMlPerBar: number;
  readonly limitMlPerMin?: number | null | undefined;
};

export type HoldTest = {
  readonly outcome: 'pass' | 'fail' | 'hold-longer';
  /** Why it must be held longer. */
  readonly because: 'undecided' | 'rising' | 'still-settling' | null;
  readonly leakMlPerMin: number;
  readonly leakCi: readonly [number, number];
  readonly needMoreS: number | null;
  readonly fit: SettlingFit;
  readonly rmsBar: number;
  readonly rulesUsed: Pick<Rules, 'limitMlPerMin'>;
};

const Z95 = 1.96;
/** Longest that a hold is prolonged at once, s. */
const LONGEST_MORE_S = 900;
/** 1.96 for the interval, and 1.28 so that nine of ten longer holds decide. */
const Z_DECIDE = 3.24;

/**
 * Is it leaking, or settling? The steady leak of a held pressure, with its 95 % interval, against the limit.
 * @param input hold phase, 20 samples and 10 s at least, time rising; compliance of unit and hose, ml per bar
 * @returns leak in ml/min, + when pressure falls
 * @source design, chapter 9
 */
export function holdTest(input: HoldInput, rules: Pick<Rules, 'limitMlPerMin'>): HoldTest {
  const limitMlPerMin = input.limitMlPerMin ?? rules.limitMlPerMin;
  const mlPerMin = 60 * input.complianceMlPerBar;
  const fitted = fitSettling(input.trace);
  const spanS = (input.trace.at(-1)?.tS ?? 0) - (input.trace[0]?.tS ?? 0);
  return judgeHold(fitted, {
    leakMlPerMin: fitted.fit.rBarPerS * mlPerMin,
    se: fitted.fit.rSe * mlPerMin,
    spanS,
    limitMlPerMin,
    zDecide: Z_DECIDE,
  });
}

/** What a hold measured: the leak with its standard error, ml/min, over so many seconds; and how many errors a longer hold has to bring between leak and limit. */
type Measured = {
  readonly leakMlPerMin: number;
  readonly se: number;
  readonly spanS: number;
  readonly limitMlPerMin: number;
  readonly zDecide: number;
};

/** A fitted hold against its limit: the leak with its interval, what it is called, and how much longer it would have to be held. */
export const judgeHold = (
  { fit, rmsBar, tauAtUpper }: FittedTrace,
  { leakMlPerMin, se, spanS, limitMlPerMin, zDecide }: Measured,
): HoldTest => {
  const leakCi = [leakMlPerMin - Z95 * se, leakMlPerMin + Z95 * se] as const;
  const verdict = decide(leakCi, limitMlPerMin, tauAtUpper);
  const needMoreS =
    verdict.outcome !== 'hold-longer'
      ? null
      : verdict.because === 'undecided'
        ? moreToDecide(spanS, zDecide * se, Math.abs(leakMlPerMin - limitMlPerMin))
        : Math.min(LONGEST_MORE_S, spanS);
  return { ...verdict, leakMlPerMin, leakCi, needMoreS, fit, rmsBar, rulesUsed: { limitMlPerMin } };
};

const decide = ([low, high]: readonly [number, number], limit: number, stillSettling: boolean): Pick<HoldTest, 'outcome' | 'because'> => {
  if (above(-0.2 * limit, high)) return { outcome: 'hold-longer', because: 'rising' };
  if (atMost(high, limit)) return { outcome: 'pass', because: null };
  if (stillSettling) return { outcome: 'hold-longer', because: 'still-settling' };
  if (above(low, limit)) return { outcome: 'fail', because: null };
  return { outcome: 'hold-longer', because: 'undecided' };
};

/** The interval narrows as the hold's length to the power 3/2. */
const moreToDecide = (spanS: number, wide: number, apart: number): number => {
  const more = spanS * ((wide / apart) ** (2 / 3) - 1);
  return Math.min(LONGEST_MORE_S, Math.max(0, more));
};
