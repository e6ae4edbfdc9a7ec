import type { Rules } from '../rules/rule-set';
import type { Problem } from '../schema/problems';
import { above, atMost } from '../statistics/compare';

/** Depths of a master: its rim stands off the mounting flange toward the booster, its socket is measured from the rim. mm, with one standard uncertainty for both. */
export type MasterDepths = { readonly rimStandOffMm: number; readonly socketDepthMm: number };
/** The booster's rod, read with a depth gauge from the outer side of a straight edge across its flange face. mm */
export type BoosterReading = { readonly straightEdgeMm: number; readonly readingMm: number };

/** How well one depth is known: 1σ of the reading, and what it was read to. mm */
export type DepthDoubt = { readonly uMm: number; readonly stepMm?: number | null | undefined };

export type SetupInput = {
  readonly master: MasterDepths & DepthDoubt;
  readonly booster: BoosterReading & DepthDoubt;
  readonly spacerMm?: number | null | undefined;
  readonly window?: { readonly minMm?: number | null | undefined; readonly maxMm?: number | null | undefined } | null | undefined;
  readonly targetMm?: number | null | undefined;
  readonly rodPitchMm?: number | null | undefined;
  readonly pedalRatio?: number | null | undefined;
  readonly previous?: MasterDepths | null | undefined;
  readonly thermal?: { readonly rodLengthMm: number; readonly rodAlphaPerK: number; readonly bodyAlphaPerK: number } | null | undefined;
  readonly linkageSlackMm?: number | null | undefined;
  readonly rodOldMm?: number | null | undefined;
  readonly rodNewMm?: number | null | undefined;
  readonly turnbuckle?: { readonly pitch1Mm: number; readonly pitch2Mm: number; readonly leftHanded: boolean } | null | undefined;
};
export type GapVerdict = 'binding' | 'too-tight' | 'too-loose' | 'measure-again' | 'ok';
export type Setup = {
  readonly gapMm: number;
  readonly expandedUncertaintyMm: number;
  readonly verdict: GapVerdict;
  /** Above nought: lengthen the rod. */
  readonly rodChangeMm: number;
  readonly turns: number | null;
  readonly lostPedalMm: number | null;
  /** How much deeper this master's seat lies than the old one's. */
  readonly seatShiftMm: number | null;
  readonly closesAtC: number | null;
  readonly freePlayMm: number | null;
  readonly spacerNeededMm: number | null;
  readonly lengthPerTurnMm: number | null;
  readonly rulesUsed: { readonly windowMinMm: number; readonly windowMaxMm: number; readonly gapTargetMm: number };
};
export type GapRules = Pick<Rules, 'windowMinMm' | 'windowMaxMm' | 'gapTargetMm'>;

/** Warmest that an engine bay makes a master; a gap that would close above this stays open. @source design, chapter 7 */
export const WARMEST_C = 200;
const ROOM_C = 20;

/** The window and the aim in force: the request's own go before the rules; without an aim, the middle. */
const aimOf = ({ window, targetMm }: Pick<SetupInput, 'window' | 'targetMm'>, rules: GapRules) => {
  const [low, high] = [window?.minMm ?? rules.windowMinMm, window?.maxMm ?? rules.windowMaxMm];
  return { low, high, aim: targetMm ?? rules.gapTargetMm ?? (low + high) / 2 };
};

/** What is wrong with the window or the aim, once request and rules are put together. */
export const setupProblems = (input: Pick<SetupInput, 'window' | 'targetMm'>, rules: GapRules): readonly Problem[] => {
  const { low, high, aim } = aimOf(input, rules);
  if (atMost(high, low))
    return [
      { path: input.window?.maxMm == null ? 'rules.windowMaxMm' : 'window.maxMm', message: `must be above the least gap, ${low} mm` },
    ];
  if (atMost(low, aim) && atMost(aim, high)) return [];
  return [{ path: input.targetMm == null ? 'rules.gapTargetMm' : 'targetMm', message: `must lie in the window, ${low} to ${high} mm` }];
};

/**
 * The gap between a booster's rod and its master, from two differences of two depths; what to do about it, and what it costs at the pedal.
 * @returns lengths in mm, unrounded; null where what it rests on was not given
 * @source design, chapter 7
 */
export function setup(input: SetupInput, rules: GapRules): Setup {
  const { master, booster, rodPitchMm, pedalRatio, previous, turnbuckle } = input;
  const { low, high, aim } = aimOf(input, rules);
  const seatMm = seatOf(master);
  const gapMm = seatMm + (input.spacerMm ?? 0) + (booster.readingMm - booster.straightEdgeMm);
  const u = 2 * Math.hypot(...[master, booster].flatMap((of) => [depthU(of), depthU(of)]));
  const rodChangeMm = gapMm - aim;
  return {
    gapMm,
    expandedUncertaintyMm: u,
    verdict: gapVerdict(gapMm, u, [low, high]),
    rodChangeMm,
    turns: rodPitchMm == null ? null : Math.abs(rodChangeMm) / rodPitchMm,
    lostPedalMm: pedalRatio == null ? null : gapMm * pedalRatio,
    seatShiftMm: previous == null ? null : seatMm - seatOf(previous),
    closesAtC: input.thermal == null ? null : closesAt(gapMm, input.thermal),
    freePlayMm: pedalRatio == null || input.linkageSlackMm == null ? null : (gapMm + input.linkageSlackMm) * pedalRatio,
    spacerNeededMm: input.rodOldMm == null || input.rodNewMm == null ? null : input.rodNewMm - input.rodOldMm,
    lengthPerTurnMm: turnbuckle == null ? null : perTurn(turnbuckle),
    rulesUsed: { windowMinMm: low, windowMaxMm: high, gapTargetMm: aim },
  };
}

/** Standard uncertainty of a depth, mm: what it was read to spreads evenly over its step, whose deviation is step/√12. */
export const depthU = ({ uMm, stepMm }: DepthDoubt): number => Math.hypot(uMm, (stepMm ?? 0) / Math.sqrt(12));

const seatOf = (m: MasterDepths): number => m.socketDepthMm - m.rimStandOffMm;

/** Where a gap stands in its window, its expanded uncertainty heeded; mm. */
export const gapVerdict = (gapMm: number, u: number, [low, high]: readonly [number, number]): GapVerdict => {
  if (atMost(gapMm, 0)) return 'binding';
  if (above(low, gapMm)) return 'too-tight';
  if (above(gapMm, high)) return 'too-loose';
  return atMost(low, gapMm - u) && atMost(gapMm + u, high) ? 'ok' : 'measure-again';
};

export type Thermal = NonNullable<SetupInput['thermal']>;
/** The gap at a temperature, mm, when it was measured at 20 °C. @param tempC °C */
export const gapWarm = (gapMm: number, t: Thermal, tempC: number): number => gapMm - shrinksPerK(t) * (tempC - ROOM_C);
/** What the gap loses with every kelvin, mm; below nought: it opens. */
const shrinksPerK = (t: Thermal): number => (t.rodAlphaPerK - t.bodyAlphaPerK) * t.rodLengthMm;

/** Temperature at which the rod has grown through the gap, °C; null where it never does, or not below the warmest it gets. */
const closesAt = (gapMm: number, t: Thermal): number | null => {
  const perK = shrinksPerK(t);
  if (!(perK > 0) || atMost(gapMm, 0)) return null;
  const at = ROOM_C + gapMm / perK;
  return atMost(at, WARMEST_C) ? at : null;
};

/** Threads of opposite hand both draw in; of one hand they work against each other. */
const perTurn = ({ pitch1Mm, pitch2Mm, leftHanded }: NonNullable<SetupInput['turnbuckle']>): number =>
  leftHanded ? pitch1Mm + pitch2Mm : Math.abs(pitch1Mm - pitch2Mm);
