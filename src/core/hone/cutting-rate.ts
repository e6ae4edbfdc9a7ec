import type { Material } from '../family/material';

export const GRITS = [180, 220, 320, 400, 600] as const;
export type Grit = (typeof GRITS)[number];

/** One pass at the stone as it was logged. Diameters in mm, before and after. */
export type HonePass = {
  readonly grit: Grit;
  readonly strokes: number;
  readonly strokesPerMin: number;
  readonly rpm: number;
  readonly beforeMm: number;
  readonly afterMm: number;
};

/** Cast iron, µm on diameter per 100 turns. @source design, chapter 3 */
const IRON_RATE: { readonly [G in Grit]: number } = { 180: 10, 220: 7.5, 320: 4.2, 400: 2.5, 600: 1.0 };
const MATERIAL_FACTOR: { readonly [M in Material]: number } = {
  'cast-iron': 1,
  alloy: 1.6,
  'alloy-anodised': 0.3,
  'sleeve-stainless': 0.7,
  'sleeve-brass': 1.3,
  'sleeve-steel': 0.9,
};

/** What a pass took off the diameter, µm; negative when it reads smaller after. */
export const removedUm = (p: Pick<HonePass, 'beforeMm' | 'afterMm'>): number => (p.afterMm - p.beforeMm) * 1000;
export const turnsOf = (p: Pick<HonePass, 'strokes' | 'strokesPerMin' | 'rpm'>): number => (p.strokes * p.rpm) / p.strokesPerMin;

/** A rate, and how much of it is the table's: 1 where no pass speaks, toward 0 as they do. */
export type CuttingRate = { readonly umPer100Turns: number; readonly tableShare: number };

/**
 * Cutting rate of a grit, µm on diameter per 100 turns: the table's rate, weighing as so many turns, and the shop's own passes of that grit.
 * A pass that removed nothing or less counts as nothing removed. Where neither says anything, the table's rate.
 * @param weightTurns turns that the table's rate counts for, from 0 up
 * @source design, chapter 3
 */
export const cuttingRate = (grit: Grit, material: Material, passes: readonly HonePass[], weightTurns: number): CuttingRate => {
  const table = IRON_RATE[grit] * MATERIAL_FACTOR[material];
  const mine = passes.filter((p) => p.grit === grit);
  const removed = mine.reduce((sum, p) => sum + Math.max(0, removedUm(p)), 0);
  const turns = mine.reduce((sum, p) => sum + turnsOf(p), 0);
  const rate = (100 * ((weightTurns * table) / 100 + removed)) / (weightTurns + turns);
  return { umPer100Turns: rate > 0 ? rate : table, tableShare: weightTurns + turns > 0 ? weightTurns / (weightTurns + turns) : 1 };
};
