import type { Units } from '../quantity/units';
import { type GapSheet, gapQuestion } from './gap-sheet';
import { GAP_WORDS, sayFine } from './say-gap';
import { type GapRules, type GapVerdict, gapVerdict, setup } from './setup';

/** How the gap was had: worked out from four depths, or read at the rod itself where no booster is between. */
export type GapWay = 'depths' | 'rod-play';

/** A gap as it was saved to a unit: what was read, what came of it, and what was allowed then. mm */
export type GapRecord = {
  readonly way: GapWay;
  readonly sheet: GapSheet;
  readonly gapMm: number;
  readonly expandedUncertaintyMm: number;
  readonly verdict: GapVerdict;
  readonly windowMinMm: number;
  readonly windowMaxMm: number;
};

/** The gap of a sheet, for the record; undefined while it cannot be worked out. */
export const gapRecordOf = (way: GapWay, sheet: GapSheet, rules: GapRules): GapRecord | undefined => {
  if (way === 'rod-play') return playRecord(sheet, rules);
  const question = gapQuestion(sheet);
  if (question === undefined) return undefined;
  const { gapMm, expandedUncertaintyMm, verdict, rulesUsed } = setup(question, rules);
  return { way, sheet, gapMm, expandedUncertaintyMm, verdict, windowMinMm: rulesUsed.windowMinMm, windowMaxMm: rulesUsed.windowMaxMm };
};

/** Standard uncertainty of a play read once with a dial or a feeler, mm. */
const PLAY_U_MM = 0.02;

const playRecord = (sheet: GapSheet, { windowMinMm, windowMaxMm }: GapRules): GapRecord | undefined => {
  if (sheet.play === undefined) return undefined;
  const u = 2 * (sheet.uMaster ?? PLAY_U_MM);
  const verdict = gapVerdict(sheet.play, u, [windowMinMm, windowMaxMm]);
  return { way: 'rod-play', sheet, gapMm: sheet.play, expandedUncertaintyMm: u, verdict, windowMinMm, windowMaxMm };
};

/** A saved gap in one line. */
export const sayGapRecord = (g: GapRecord, units: Units): string =>
  `Pushrod gap ${sayFine(g.gapMm, units)} ± ${sayFine(g.expandedUncertaintyMm, units)} ${units.length} (${g.way === 'depths' ? 'from four depths' : 'read at the rod'}; ${sayFine(g.windowMinMm, units)} to ${sayFine(g.windowMaxMm, units)} allowed): ${GAP_WORDS[g.verdict].toLowerCase()}`;
