import { type BoreSeal, countedLanes } from '../family/lane';
import type { Material } from '../family/material';
import type { Rules } from '../rules/rule-set';
import { atMost } from '../statistics/compare';

/** A seal, with the diameter of the piston that carries it where that is another than the unit's, mm. */
export type CarriedSeal = BoreSeal & { readonly pistonDiaMm?: number | null | undefined };

/** The largest bore for one seal's lane, by the piston that carries it. */
export type LaneLimit = { readonly sealId: string; readonly pistonDiaMm: number; readonly limitDiaMm: number };

export type BoreLimits = {
  /** Of every lane that counts; at least one. */
  readonly lanes: readonly LaneLimit[];
  /** The least of them: a cut goes through all lanes. */
  readonly limitDiaMm: number;
  readonly clearanceMaxMm: number;
  readonly oversizeMaxMm: number;
};

/** A maker's limit, mm, and where it stands written. */
export type MakersLimit = { readonly maxDiaMm: number; readonly source: string };

/** Most clearance of piston in bore, by nominal bore up to and including, mm. */
const CLEARANCE_BY_BORE: readonly (readonly [upToMm: number, clearanceMm: number])[] = [
  [20, 0.1],
  [26, 0.13],
  [32, 0.15],
  [Infinity, 0.2],
];

const oversizeOf = (material: Material): number => (material === 'cast-iron' ? 0.15 : material === 'alloy-anodised' ? 0.05 : 0.1);

/**
 * Largest bore that a standard cup still seals with this piston, mm: the lesser of piston + clearance and nominal + oversize, unless the maker names one.
 * @source design, chapter 2
 */
export const boreLimits = (
  input: {
    readonly material: Material;
    readonly pistonDiaMm: number;
    readonly seals: readonly CarriedSeal[];
    readonly bore: { readonly nominalMm: number };
    readonly makersLimit?: MakersLimit | null | undefined;
  },
  rules: Pick<Rules, 'clearanceMaxMm' | 'oversizeMaxMm'>,
): BoreLimits => {
  const { nominalMm } = input.bore;
  const clearanceMaxMm = rules.clearanceMaxMm ?? CLEARANCE_BY_BORE.find(([upTo]) => atMost(nominalMm, upTo))?.[1] ?? 0.2;
  const oversizeMaxMm = rules.oversizeMaxMm ?? oversizeOf(input.material);
  const lanes = countedLanes(input.seals).map((seal): LaneLimit => {
    const pistonDiaMm = seal.pistonDiaMm ?? input.pistonDiaMm;
    const limitDiaMm = input.makersLimit?.maxDiaMm ?? Math.min(pistonDiaMm + clearanceMaxMm, nominalMm + oversizeMaxMm);
    return { sealId: seal.id, pistonDiaMm, limitDiaMm };
  });
  return { lanes, limitDiaMm: Math.min(...lanes.map((l) => l.limitDiaMm)), clearanceMaxMm, oversizeMaxMm };
};
