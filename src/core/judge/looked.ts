import type { Lane } from '../family/lane';
import type { Material } from '../family/material';
import { cornersIn } from '../gauge/corners';
import { ungauged } from '../gauge/coverage';
import type { BoreForm } from '../gauge/gauge';
import { type Reading, readingsAt20, type Temperatures } from '../gauge/reading';
import type { Rules } from '../rules/rule-set';
import type { Looked } from './say-covers';

/** What of a bore was looked at. @param at lanes and length of the bore, and its readings as taken */
export const lookedAt = (
  at: {
    readonly gauge: BoreForm | null;
    readonly lanes: readonly Lane[];
    readonly lengthMm: number;
    readonly material: Material;
    readonly readings: readonly Reading[];
    readonly formDoubtMm: number | null;
  } & Temperatures,
  rules: Rules,
): Looked => ({
  gauge: at.gauge,
  readings: at.readings.length,
  not: ungauged({ ...at, stations: at.gauge?.stations ?? [], rules }),
  corners: cornersIn(readingsAt20(at.readings, at.material, at), rules.gaugeRepeatabilityMm),
  formDoubtMm: at.formDoubtMm,
});
