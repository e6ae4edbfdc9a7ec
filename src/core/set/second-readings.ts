import { above } from '../statistics/compare';
import { type GapField, type GapSheet, type ReadTwice, USUAL_STEP_MM, USUAL_U_MM } from './gap-sheet';
import { depthU, type GapVerdict } from './setup';

/** Second readings that are not there, and pairs that lie further apart than two readings of one depth do; mm. */
export type SecondReadings = {
  readonly missing: readonly GapField[];
  readonly apart: readonly { readonly field: GapField; readonly byMm: number; readonly mostMm: number }[];
};

/**
 * One slip in one reading can make a wrong gap look right: what decides is read twice. Two readings of one depth differ by 2√2·u at most, 95 times in 100.
 * @source design, chapter 7
 */
export const secondReadings = (s: GapSheet, pairs: ReadTwice): SecondReadings => ({
  missing: pairs.flatMap(([, second]) => (s[second] === undefined ? [second] : [])),
  apart: pairs.flatMap(([first, second, u]) => {
    const [a, b] = [s[first], s[second]];
    if (a === undefined || b === undefined) return [];
    const mostMm = 2 * Math.SQRT2 * depthU({ uMm: s[u] ?? USUAL_U_MM, stepMm: s.step ?? USUAL_STEP_MM });
    return above(Math.abs(a - b), mostMm) ? [{ field: second, byMm: Math.abs(a - b), mostMm }] : [];
  }),
});

/** A gap is right only when every depth behind it was read twice and the pairs agree. */
export const checkedVerdict = (verdict: GapVerdict, { missing, apart }: SecondReadings): GapVerdict =>
  verdict === 'ok' && missing.length + apart.length > 0 ? 'measure-again' : verdict;
