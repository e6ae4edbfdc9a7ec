import type { Material } from '../family/material';
import type { Rules } from '../rules/rule-set';
import { above, atMost, NOISE } from '../statistics/compare';
import { type CuttingRate, cuttingRate, type Grit, type HonePass, removedUm } from './cutting-rate';

export type HonePlanInput = {
  readonly startDiaMm: number;
  readonly targetDiaMm: number;
  readonly limitDiaMm: number;
  readonly material: Material;
  /** To the bottom. */
  readonly boreLengthMm: number;
  readonly blindEnd: boolean;
  readonly reliefMm?: number | null | undefined;
  readonly stoneLengthMm: number;
  readonly rpm: number;
  readonly strokesPerMin?: number | null | undefined;
  readonly hatchDeg?: number | null | undefined;
  readonly finish: 'cross-hatch' | 'fine';
  readonly passes?: readonly HonePass[] | null | undefined;
};

export type HoneStage = {
  readonly grit: Grit;
  readonly fromMm: number;
  readonly toMm: number;
  readonly umPer100Turns: number;
  readonly strokes: number;
  readonly seconds: number;
  readonly gaugeAfterStrokes: number;
};

export type HoneWarning = { readonly code: 'no-removal' | 'unreachable' | 'strokes-too-fast' | 'slow'; readonly text: string };

export type HonePlan = {
  readonly outcome: 'cut' | 'on-size' | 'past-limit' | 'unreachable';
  readonly strokeLengthMm: number;
  readonly overrunMm: number;
  readonly stopShortMm: number | null;
  readonly hatchGotDeg: number | null;
  readonly strokesForHatchPerMin: number | null;
  readonly suggestedRpm: number | null;
  readonly surfaceSpeedMPerMin: number;
  readonly stages: readonly HoneStage[];
  readonly remainingUm: number;
  readonly warnings: readonly HoneWarning[];
  readonly rulesUsed: Pick<Rules, 'rateWeightTurns' | 'reliefMm' | 'hatchDeg'>;
};

const USUAL_STROKES_PER_MIN = 60;
/** An arm does no more strokes a minute than this for long. */
const MOST_STROKES_PER_MIN = 90;
/** At one grit; beyond it a coarser one is wanted. */
const MANY_STROKES = 300;
/** A bore this near its target is on size, mm: less than a gauge repeats to. */
const ON_SIZE_MM = 0.001;
/** More than this to take off, and the coarsest grit comes first, mm. */
const COARSE_FIRST_MM = 0.04;
/** Less than this is not worth a change of stones, µm. */
const LEAST_STOCK_UM = 3;
/** After a finer grit nobody goes back to a coarser one for this much, µm. */
const NOT_BACK_UM = 10;
/** What each grit leaves on the diameter for the finer ones, µm. @source design, chapter 3 */
const LEAVES_UM: { readonly [G in Grit]: number } = { 180: 10, 220: 6, 320: 3, 400: 1.5, 600: 0 };

/**
 * How to cut a bore to its target: stroke, hatch, speed, and the stages with their strokes, from the passes logged so far.
 * @param earlier the shop's passes on other bores of this material: they speak of the cutting rate only
 * @source design, chapter 3
 */
export function honePlan(input: HonePlanInput, rules: Rules, earlier: readonly HonePass[] = []): HonePlan {
  const { startDiaMm: start, targetDiaMm: target, limitDiaMm: limit, rpm } = input;
  const passes = input.passes ?? [];
  const strokesPerMin = input.strokesPerMin ?? USUAL_STROKES_PER_MIN;
  const reliefMm = input.reliefMm ?? rules.reliefMm;
  const hatchDeg = input.hatchDeg ?? rules.hatchDeg;
  const stroke = strokeOf(input, reliefMm);
  const now = passes.at(-1)?.afterMm ?? start;
  const outcome = above(now, limit)
    ? 'past-limit'
    : atMost(target - ON_SIZE_MM, now)
      ? 'on-size'
      : stroke.lengthMm > 0
        ? 'cut'
        : 'unreachable';
  const hatch = hatchOf(stroke.lengthMm, start, rpm, strokesPerMin, hatchDeg);
  const stages =
    outcome === 'cut'
      ? stagesOf(input, now, strokesPerMin, (grit) => cuttingRate(grit, input.material, [...earlier, ...passes], rules.rateWeightTurns))
      : [];
  return {
    outcome,
    strokeLengthMm: stroke.lengthMm,
    overrunMm: stroke.overrunMm,
    stopShortMm: input.blindEnd ? reliefMm : null,
    ...hatch,
    surfaceSpeedMPerMin: (Math.PI * start * rpm) / 1000,
    stages,
    remainingUm: Math.max(0, target - now) * 1000,
    warnings: warningsOf(passes, stroke.lengthMm, hatch.suggestedRpm, stages),
    rulesUsed: { rateWeightTurns: rules.rateWeightTurns, reliefMm, hatchDeg },
  };
}

/** The stone runs a third of its length out at each open end, and keeps off the bottom of a blind one. */
const strokeOf = (i: HonePlanInput, reliefMm: number): { readonly lengthMm: number; readonly overrunMm: number } => {
  const overrunMm = i.stoneLengthMm / 3;
  const openEnds = i.blindEnd ? 1 : 2;
  return { overrunMm, lengthMm: i.boreLengthMm + overrunMm * openEnds - i.stoneLengthMm - (i.blindEnd ? reliefMm : 0) };
};

/** The angle at which strokes cross, and what it would take to get the one that is wished. All null when the stone does not move. */
const hatchOf = (
  lengthMm: number,
  diaMm: number,
  rpm: number,
  strokesPerMin: number,
  hatchDeg: number,
): Pick<HonePlan, 'hatchGotDeg' | 'strokesForHatchPerMin' | 'suggestedRpm'> => {
  if (!(lengthMm > 0)) return { hatchGotDeg: null, strokesForHatchPerMin: null, suggestedRpm: null };
  const around = Math.PI * diaMm;
  const half = Math.tan((hatchDeg * Math.PI) / 360);
  const strokesForHatchPerMin = (around * rpm * half) / (2 * lengthMm);
  return {
    hatchGotDeg: (2 * Math.atan((2 * lengthMm * strokesPerMin) / (around * rpm)) * 180) / Math.PI,
    strokesForHatchPerMin,
    suggestedRpm: above(strokesForHatchPerMin, MOST_STROKES_PER_MIN) ? (2 * lengthMm * USUAL_STROKES_PER_MIN) / (around * half) : null,
  };
};

const sequenceOf = (i: HonePlanInput, toTakeMm: number): readonly Grit[] => {
  if (i.material === 'alloy-anodised') return [600];
  const fine: readonly Grit[] = i.finish === 'fine' ? [220, 400, 600] : [220, 320, 400];
  return above(toTakeMm, COARSE_FIRST_MM) ? [180, ...fine] : fine;
};

const stagesOf = (i: HonePlanInput, now: number, strokesPerMin: number, rateOf: (grit: Grit) => CuttingRate): readonly HoneStage[] => {
  const lastGrit = i.passes?.at(-1)?.grit;
  const turnsPerStroke = i.rpm / strokesPerMin;
  const sequence = sequenceOf(i, i.targetDiaMm - now);
  const stages: HoneStage[] = [];
  let from = now;
  for (const [n, grit] of sequence.entries()) {
    const isLast = n === sequence.length - 1;
    const to = i.targetDiaMm - (isLast ? 0 : LEAVES_UM[grit]) / 1000;
    const stockUm = (to - from) * 1000;
    if (skipped(stockUm, isLast, lastGrit !== undefined && grit < lastGrit)) continue;
    const rate = rateOf(grit);
    const { umPer100Turns } = rate;
    const strokes = Math.ceil(stockUm / ((umPer100Turns * turnsPerStroke) / 100) - NOISE);
    const seconds = (60 * strokes) / strokesPerMin;
    stages.push({ grit, fromMm: from, toMm: to, umPer100Turns, strokes, seconds, gaugeAfterStrokes: firstStrokes(strokes, rate) });
    from = to;
  }
  return stages;
};

/** Strokes before the next gauging: most of the stage where the rate is known, less than half where only the table speaks. @source design, chapter 3 */
const firstStrokes = (strokes: number, rate: CuttingRate): number => Math.max(1, Math.floor(strokes / (1.2 + rate.tableShare) + NOISE));

/** Is a stage passed over? What it would have cut falls to the next. @param back it is coarser than what was used last */
const skipped = (stockUm: number, isLast: boolean, back: boolean): boolean =>
  atMost(stockUm, 0) || (!isLast && (above(LEAST_STOCK_UM, stockUm) || (back && atMost(stockUm, NOT_BACK_UM))));

const warningsOf = (
  passes: readonly HonePass[],
  lengthMm: number,
  suggestedRpm: number | null,
  stages: readonly HoneStage[],
): readonly HoneWarning[] => {
  const idle = passes.flatMap((p, n) => (atMost(removedUm(p), 0) ? [n + 1] : []));
  const slow = stages.filter((s) => s.strokes > MANY_STROKES);
  return [
    ...(idle.length > 0
      ? [{ code: 'no-removal' as const, text: `Pass ${idle.join(', ')} took nothing off: gauge again, and look at the stones.` }]
      : []),
    ...(lengthMm > 0 ? [] : [{ code: 'unreachable' as const, text: 'The stone is too long for this bore: use a shorter stone.' }]),
    ...(suggestedRpm === null
      ? []
      : [
          {
            code: 'strokes-too-fast' as const,
            text: `No arm strokes that fast: ${Math.round(suggestedRpm)} rpm gives this hatch at 60 strokes a minute.`,
          },
        ]),
    ...slow.map((s) => ({ code: 'slow' as const, text: `${s.strokes} strokes at ${s.grit}: a coarser grit first would be quicker.` })),
  ];
};
