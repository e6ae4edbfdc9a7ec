import type { Lane } from '../family/lane';
import { type Stretch, ungauged } from '../gauge/coverage';
import type { Station } from '../gauge/station';
import type { Rules } from '../rules/rule-set';

/** Depths that were gauged, and stretches of the lanes that were not; mm. */
export type Gauged = { readonly depthsMm: readonly number[]; readonly not: readonly Stretch[] };

export const gaugedOf = (at: {
  readonly stations: readonly Station[];
  readonly lanes: readonly Lane[];
  readonly lengthMm: number;
  readonly rules: Rules;
}): Gauged => ({ depthsMm: at.stations.map((s) => s.xMm), not: ungauged(at) });
