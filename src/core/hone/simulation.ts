import type { Material } from '../family/material';
import { gaugeBore } from '../gauge/gauge';
import type { Shape } from '../gauge/shape';
import type { Station } from '../gauge/station';
import { GRID_CLOCKS } from '../gauge/suggest-grid';
import type { Rules } from '../rules/rule-set';
import { type HonePass, removedUm, turnsOf } from './cutting-rate';
import type { HonePlan } from './hone-plan';
import { afterStrokes, type BoreField, type Cut, type FieldProfile, fieldOf, profileOf, readingsIn, type Stroke } from './simulate';

/** A cut to be simulated: strokes of one grit. */
export type SimulatedCut = Cut & { readonly strokes: number };

export type SimulationInput = {
  /** As gauged before the first of the cuts. */
  readonly stations: readonly Station[];
  readonly lengthMm: number;
  readonly stroke: Stroke;
  /** Of every cut, how much is first done in short strokes at the deep end, 0 to 1. */
  readonly shortShare: number;
  readonly cuts: readonly SimulatedCut[];
  /** The narrowest mean that the cuts leave at these depths, mm: the rate is brought to that. */
  readonly narrowest: { readonly atMm: readonly number[]; readonly mm: number };
};

/** How far a simulation has come. */
export type SimulationFrame = { readonly strokes: number; readonly of: number; readonly profile: FieldProfile; readonly field: BoreField };

/** Passes as they were made: what they took off is known, where is not. */
export const cutsOfPasses = (passes: readonly HonePass[]): readonly SimulatedCut[] =>
  passes
    .filter((p) => p.strokes > 0 && turnsOf(p) > 0)
    .map((p) => ({
      strokes: p.strokes,
      turnsPerStroke: p.rpm / p.strokesPerMin,
      umPer100Turns: (100 * Math.max(0, removedUm(p))) / turnsOf(p),
    }));

/** What a plan still has to cut, as much as it asks for: its strokes are whole numbers, so the rate is brought to them. */
export const cutsOfPlan = (plan: HonePlan, turnsPerStroke: number): readonly SimulatedCut[] =>
  plan.stages.map((s) => ({
    strokes: s.strokes,
    turnsPerStroke,
    umPer100Turns: ((s.toMm - s.fromMm) * 1000 * 100) / (s.strokes * turnsPerStroke),
  }));

/** Runs the cuts, a few strokes at a time, so that whoever runs it can show them or leave off. @yields after every few strokes, and at the end */
export function* simulation(input: SimulationInput, strokesAFrame: number): Generator<SimulationFrame> {
  const of = input.cuts.reduce((sum, c) => sum + c.strokes, 0);
  const scale = rateScale(input);
  let field = fieldOf(input.stations, input.lengthMm);
  let done = 0;
  yield { strokes: 0, of, profile: profileOf(field), field };
  for (const { stroke, strokes, ...cut } of movesOf(input)) {
    for (let left = strokes; left > 0; left -= strokesAFrame) {
      const n = Math.min(left, strokesAFrame);
      field = afterStrokes(field, stroke, { ...cut, umPer100Turns: cut.umPer100Turns * scale }, n);
      done += n;
      yield { strokes: done, of, profile: profileOf(field), field };
    }
  }
}

/** A short stroke is this much of a full one. */
const SHORT = 0.25;

/** A short stroke at the deep end: it turns there where the full one does. */
export const shortOf = (full: Stroke): Stroke => {
  const strokeMm = full.strokeMm * SHORT;
  return { ...full, strokeMm, overrunMm: full.overrunMm - (full.strokeMm - strokeMm) };
};

/** Every cut as it is stroked: short at the deep end first, where that is asked for, then full. */
const movesOf = ({ stroke, cuts, shortShare }: SimulationInput): readonly (SimulatedCut & { readonly stroke: Stroke })[] => {
  const short = shortOf(stroke);
  return cuts.flatMap((cut) => {
    const shorts = Math.round(cut.strokes * shortShare);
    return [
      { ...cut, stroke: short, strokes: shorts },
      { ...cut, stroke, strokes: cut.strokes - shorts },
    ].filter((move) => move.strokes > 0);
  });
};

/** Cells of a bore that is only looked at for its rate and its widest place, strokes that are taken as one there, and the most steps of one grit: a skin cut by hand takes thousands of strokes. */
const [ROUGH_CELLS, ROUGH_CLOCKS, ROUGH_STROKES, MOST_LUMPS] = [120, 24, 4, 60];
/** The cut falls where the bore stands proud, so what the narrowest place gets is not quite in proportion: so often is it tried. */
const TRIES = 3;

/** The bore that the cuts leave, roughly. */
const roughly = (input: SimulationInput, scale: number): FieldProfile => {
  let field = fieldOf(input.stations, input.lengthMm, ROUGH_CELLS, ROUGH_CLOCKS);
  for (const { stroke, strokes, ...cut } of movesOf(input)) {
    const lumps = Math.min(MOST_LUMPS, Math.ceil(strokes / ROUGH_STROKES));
    field = afterStrokes(field, stroke, { ...cut, umPer100Turns: (cut.umPer100Turns * scale * strokes) / lumps }, lumps);
  }
  return profileOf(field);
};

const narrowestOf = (meanAt: (xMm: number) => number, atMm: readonly number[]): number => Math.min(...atMm.map(meanAt));

/** By how much the plan's rate, a mean over the bore, is to be taken faster or slower for the narrowest place to gain what the plan says. */
export const rateScale = (input: SimulationInput): number => {
  const { atMm, mm } = input.narrowest;
  const before = fieldOf(input.stations, input.lengthMm, ROUGH_CELLS, ROUGH_CLOCKS);
  const start = narrowestOf(meanIn(profileOf(before)), atMm);
  if (input.cuts.length === 0 || mm <= start) return 1;
  let scale = 1;
  for (let i = 0; i < TRIES; i++) {
    const gained = narrowestOf(meanIn(roughly(input, scale)), atMm) - start;
    // A place that the stones never reach gains nothing at any rate.
    if (gained <= 0) return 1;
    scale *= (mm - start) / gained;
  }
  return scale;
};

/** The bore that the cuts leave with their rate brought to the plan's. */
export const roughCut = (input: SimulationInput): FieldProfile => roughly(input, rateScale(input));

/** How far the gauge found the bore from what was simulated: root mean square over the stations, mm. */
export const offBy = (measured: readonly Station[], profile: FieldProfile): number => {
  const at = meanIn(profile);
  return Math.sqrt(measured.reduce((sum, s) => sum + (s.meanMm - at(s.xMm)) ** 2, 0) / measured.length);
};

const meanIn = ({ xMm, meanMm }: FieldProfile): ((x: number) => number) => {
  const pitch = (xMm[1] as number) - (xMm[0] as number);
  return (x) => meanMm[Math.min(xMm.length - 1, Math.max(0, Math.floor(x / pitch)))] as number;
};

export type PredictedForm = {
  readonly shape: Shape;
  readonly taperToward: 'open' | 'blind' | null;
  readonly taperMm: number;
  readonly ovalityMm: number;
  readonly maxMm: number;
};

/** The form that a gauge would find in a simulated bore, at the depths where it was gauged before. */
export const predictedForm = (field: BoreField, depthsMm: readonly number[], material: Material, rules: Rules): PredictedForm => {
  const form = gaugeBore({ readings: readingsIn(field, depthsMm, GRID_CLOCKS), material, bodyTempC: null, gaugeTempC: null }, rules);
  return { shape: form.shape, taperToward: form.taperToward, taperMm: form.taperMm, ovalityMm: form.ovalityMaxMm ?? 0, maxMm: form.maxMm };
};
