import type { Units } from '../quantity/units';
import { DEPTH_PAIRS, type GapSheet, gapQuestion, middleOf, PLAY_PAIR, USUAL_STEP_MM, USUAL_U_MM } from './gap-sheet';
import { GAP_WORDS, sayFine } from './say-gap';
import { checkedVerdict, secondReadings } from './second-readings';
import { depthU, type GapRules, type GapVerdict, gapVerdict, setup } from './setup';

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
  return {
    way,
    sheet,
    gapMm,
    expandedUncertaintyMm,
    verdict: checkedVerdict(verdict, secondReadings(sheet, DEPTH_PAIRS)),
    windowMinMm: rulesUsed.windowMinMm,
    windowMaxMm: rulesUsed.windowMaxMm,
  };
};

/** A play at the rod is a single depth: read with a dial or a feeler, and read twice as the depths are. */
const playRecord = (sheet: GapSheet, { windowMinMm, windowMaxMm }: GapRules): GapRecord | undefined => {
  const gapMm = middleOf(sheet, 'play', 'play2');
  if (gapMm === undefined) return undefined;
  const u = 2 * depthU({ uMm: sheet.uMaster ?? USUAL_U_MM, stepMm: sheet.step ?? USUAL_STEP_MM });
  const verdict = checkedVerdict(gapVerdict(gapMm, u, [windowMinMm, windowMaxMm]), secondReadings(sheet, PLAY_PAIR));
  return { way: 'rod-play', sheet, gapMm, expandedUncertaintyMm: u, verdict, windowMinMm, windowMaxMm };
};

/** A saved gap in a line. */
export const sayGapRecord = (g: GapRecord, units: Units): string => {
  const second = secondReadings(g.sheet, g.way === 'depths' ? DEPTH_PAIRS : PLAY_PAIR);
  const how = `${g.way === 'depths' ? 'from four depths' : 'read at the rod'}, ${second.missing.length === 0 ? 'read twice' : 'read once'}`;
  return `Pushrod gap ${sayFine(g.gapMm, units)} ± ${sayFine(g.expandedUncertaintyMm, units)} ${units.length} (${how}; ${sayFine(g.windowMinMm, units)} to ${sayFine(g.windowMaxMm, units)} allowed): ${GAP_WORDS[g.verdict].toLowerCase()}`;
};
