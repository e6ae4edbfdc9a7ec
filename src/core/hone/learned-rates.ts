import type { Material } from '../family/material';
import { GRITS, type Grit, type HonePass, removedUm, turnsOf } from './cutting-rate';

/** What the shop's own passes say of a grit in a material; µm on diameter per 100 turns. */
export type LearnedRate = {
  readonly material: Material;
  readonly grit: Grit;
  readonly passes: number;
  readonly turns: number;
  readonly umPer100Turns: number;
  /** One sigma of the passes about it, weighed by their turns; null for a single pass. */
  readonly spread: number | null;
};

/** Rates by material and grit, where there are passes. A pass that took nothing off counts as nothing. */
export const learnedRates = (passes: readonly (HonePass & { readonly material: Material })[]): readonly LearnedRate[] => {
  const materials = [...new Set(passes.map((p) => p.material))];
  return materials.flatMap((material) =>
    GRITS.flatMap((grit) => {
      const mine = passes
        .filter((p) => p.material === material && p.grit === grit && turnsOf(p) > 0)
        .map((p) => ({ turns: turnsOf(p), um: Math.max(0, removedUm(p)) }));
      if (mine.length === 0) return [];
      const turns = mine.reduce((sum, p) => sum + p.turns, 0);
      const rate = (100 * mine.reduce((sum, p) => sum + p.um, 0)) / turns;
      const about = mine.reduce((sum, p) => sum + p.turns * ((100 * p.um) / p.turns - rate) ** 2, 0) / turns;
      const spread = mine.length === 1 ? null : Math.sqrt((about * mine.length) / (mine.length - 1));
      return [{ material, grit, passes: mine.length, turns, umPer100Turns: rate, spread }];
    }),
  );
};

/** The passes behind a rate as one pass of as many turns that took as much off: it moves a plan's rate as they all do. */
export const pooledPass = (r: LearnedRate): HonePass => ({
  grit: r.grit,
  strokes: r.turns,
  strokesPerMin: 1,
  rpm: 1,
  beforeMm: 0,
  afterMm: (r.umPer100Turns * r.turns) / 100_000,
});
