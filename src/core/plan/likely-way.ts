import type { Complaint } from '../book-in/complaint';
import type { UnitKind } from '../family/family-name';
import type { Material } from '../family/material';
import { BORE_WAYS, type BoreWay } from '../way';
import type { Taught } from './taught';

export type WayChances = { readonly [W in BoreWay]: number };

/** How bores of each metal go where a shop has no units of its own to go by. Stated, not measured: iron can be honed, a bare alloy bore seldom, a skin or a sleeve never twice. */
const STANDING: { readonly [M in Material]: WayChances } = {
  'cast-iron': { reuse: 0.25, polish: 0.2, hone: 0.4, sleeve: 0.1, scrap: 0.05 },
  alloy: { reuse: 0.35, polish: 0.25, hone: 0.15, sleeve: 0.2, scrap: 0.05 },
  'alloy-anodised': { reuse: 0.55, polish: 0.15, hone: 0.05, sleeve: 0.2, scrap: 0.05 },
  'sleeve-stainless': { reuse: 0.6, polish: 0.25, hone: 0.1, sleeve: 0, scrap: 0.05 },
  'sleeve-brass': { reuse: 0.5, polish: 0.25, hone: 0.15, sleeve: 0.05, scrap: 0.05 },
  'sleeve-steel': { reuse: 0.45, polish: 0.2, hone: 0.25, sleeve: 0.05, scrap: 0.05 },
};
/** What is known before counts as so many units. */
const PRIOR_UNITS = 5;

/**
 * The ways a bore may go before it is judged, each with its chance: of the metal, then of the metal in that family, then with that complaint,
 * each blended with what stands above it as if that were five units.
 * @param taught units that have left, with a bore
 */
export const likelyWays = (
  unit: { readonly family: UnitKind; readonly material: Material; readonly complaints: readonly Complaint[] },
  taught: readonly Taught[],
): WayChances => {
  const ofMetal = taught.filter((t) => t.material === unit.material && t.way !== 'no-bore');
  const ofFamily = ofMetal.filter((t) => t.family === unit.family);
  const alike = ofFamily.filter((t) => t.complaints.some((c) => unit.complaints.includes(c)));
  return [ofMetal, ofFamily, alike].reduce(blended, STANDING[unit.material]);
};

const blended = (prior: WayChances, units: readonly Taught[]): WayChances =>
  Object.fromEntries(
    BORE_WAYS.map((way) => [way, (PRIOR_UNITS * prior[way] + units.filter((t) => t.way === way).length) / (PRIOR_UNITS + units.length)]),
  ) as unknown as WayChances;

/** The likeliest way that leads to the shop's door; one that is scrap has no work left to plan. */
export const likeliest = (chances: WayChances): Exclude<BoreWay, 'scrap'> =>
  repaired(chances).reduce((best, w) => (w.chance > best.chance ? w : best)).way;

/** The ways of a bore that is saved, with their chances among themselves. */
export const repaired = (chances: WayChances): readonly { readonly way: Exclude<BoreWay, 'scrap'>; readonly chance: number }[] => {
  const saved = 1 - chances.scrap;
  return BORE_WAYS.flatMap((way) => (way === 'scrap' ? [] : [{ way, chance: chances[way] / saved }]));
};
