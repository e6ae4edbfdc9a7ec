import type { Material } from '../family/material';
import { cuttingRate, type Grit, type HonePass, removedUm, turnsOf } from '../hone/cutting-rate';

/** A pass with the metal that it cut and when. Nobody’s name is asked. */
export type TimedPass = HonePass & { readonly material: Material; readonly at: number };

/** What stones of a grit took of a metal in one half of the time looked at and in the other, µm in 100 turns; null where a half has too few turns. */
export type RateDrift = {
  readonly grit: Grit;
  readonly material: Material;
  readonly passes: number;
  readonly table: number;
  readonly earlier: number | null;
  readonly later: number | null;
};

/** Fewer turns say nothing of a stone. */
const LEAST_TURNS = 200;

/** Rates by stone and metal, the earlier half of its passes beside the later. @param passes in any order */
export const rateDrifts = (passes: readonly TimedPass[]): readonly RateDrift[] => {
  const groups = new Map<string, TimedPass[]>();
  for (const p of passes) {
    const key = `${p.material} ${p.grit}`;
    const own = groups.get(key);
    if (own === undefined) groups.set(key, [p]);
    else own.push(p);
  }
  return [...groups.values()]
    .map((own): RateDrift => {
      const { grit, material } = own[0] as TimedPass;
      const rising = [...own].sort((a, b) => a.at - b.at);
      const half = Math.floor(rising.length / 2);
      return {
        grit,
        material,
        passes: own.length,
        table: cuttingRate(grit, material, [], 1).umPer100Turns,
        earlier: rateOf(rising.slice(0, half)),
        later: rateOf(rising.slice(half)),
      };
    })
    .sort((a, b) => (a.material === b.material ? a.grit - b.grit : a.material < b.material ? -1 : 1));
};

const rateOf = (passes: readonly HonePass[]): number | null => {
  const turns = passes.reduce((sum, p) => sum + turnsOf(p), 0);
  if (turns < LEAST_TURNS) return null;
  return (100 * passes.reduce((sum, p) => sum + Math.max(0, removedUm(p)), 0)) / turns;
};
