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
  readonly cuts: readonly SimulatedCut[];
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
  let field = fieldOf(input.stations, input.lengthMm);
  let done = 0;
  yield { strokes: 0, of, profile: profileOf(field), field };
  for (const cut of input.cuts) {
    for (let left = cut.strokes; left > 0; left -= strokesAFrame) {
      const strokes = Math.min(left, strokesAFrame);
      field = afterStrokes(field, input.stroke, cut, strokes);
      done += strokes;
      yield { strokes: done, of, profile: profileOf(field), field };
    }
  }
}

/** How far the gauge found the bore from what was simulated: root mean square over the stations, mm. */
export const offBy = (measured: readonly Station[], { xMm, meanMm }: FieldProfile): number => {
  const pitch = (xMm[1] as number) - (xMm[0] as number);
  const at = (x: number): number => meanMm[Math.min(xMm.length - 1, Math.max(0, Math.floor(x / pitch)))] as number;
  return Math.sqrt(measured.reduce((sum, s) => sum + (s.meanMm - at(s.xMm)) ** 2, 0) / measured.length);
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
