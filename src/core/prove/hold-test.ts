import type { Rules } from '../rules/rule-set';
import { above, atMost } from '../statistics/compare';
import { fitSettling, type SettlingFit } from './settling-fit';
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
/** 1.96 for the interval, and as much again and a bit so that the longer hold is likely to decide. */
const Z_DECIDE = 3.24;

/**
 * Is it leaking, or settling? The steady leak of a held pressure, with its 95 % interval, against the limit.
 * @param input hold phase, 20 samples and 10 s at least, time rising; compliance of unit and hose, ml per bar
 * @returns leak in ml/min, + when pressure falls
 * @source design, chapter 9
 */
export function holdTest(input: HoldInput, rules: Pick<Rules, 'limitMlPerMin'>): HoldTest {
  const limitMlPerMin = input.limitMlPerMin ?? rules.limitMlPerMin;
  const { fit, rmsBar, tauAtUpper } = fitSettling(input.trace);
  const mlPerMin = 60 * input.complianceMlPerBar;
  const leakMlPerMin = fit.rBarPerS * mlPerMin;
  const se = fit.rSe * mlPerMin;
  const leakCi = [leakMlPerMin - Z95 * se, leakMlPerMin + Z95 * se] as const;
  const spanS = (input.trace.at(-1)?.tS ?? 0) - (input.trace[0]?.tS ?? 0);
  const verdict = decide(leakCi, limitMlPerMin, tauAtUpper);
  const needMoreS =
    verdict.outcome !== 'hold-longer'
      ? null
      : verdict.because === 'undecided'
        ? moreToDecide(spanS, se, Math.abs(leakMlPerMin - limitMlPerMin))
        : Math.min(LONGEST_MORE_S, spanS);
  return { ...verdict, leakMlPerMin, leakCi, needMoreS, fit, rmsBar, rulesUsed: { limitMlPerMin } };
}

const decide = ([low, high]: readonly [number, number], limit: number, stillSettling: boolean): Pick<HoldTest, 'outcome' | 'because'> => {
  if (above(-0.2 * limit, high)) return { outcome: 'hold-longer', because: 'rising' };
  if (atMost(high, limit)) return { outcome: 'pass', because: null };
  if (stillSettling) return { outcome: 'hold-longer', because: 'still-settling' };
  if (above(low, limit)) return { outcome: 'fail', because: null };
  return { outcome: 'hold-longer', because: 'undecided' };
};

/** The interval narrows as the hold's length to the power 3/2. */
const moreToDecide = (spanS: number, se: number, apart: number): number => {
  const more = spanS * (((Z_DECIDE * se) / apart) ** (2 / 3) - 1);
  return Math.min(LONGEST_MORE_S, Math.max(0, more));
};
