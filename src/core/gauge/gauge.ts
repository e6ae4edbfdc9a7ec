import type { Material } from '../family/material';
import type { Rules } from '../rules/rule-set';
import { median, spread } from '../statistics/summary';
import { type NominalCandidate, nominalCandidates } from './nominal';
import { type Reading, readingsAt20, type Temperatures } from './reading';
import { type Shape, shapeOf } from './shape';
import { readingsByDepth, type Station, stationOf } from './station';
import { type Suspect, suspectsIn } from './suspects';

export type GaugeInput = Temperatures & {
  readonly readings: readonly Reading[];
  readonly material: Material;
  readonly gaugeRepeatabilityMm?: number | null | undefined;
  readonly gaugeCalibrationMm?: number | null | undefined;
};

export type BoreForm = {
  readonly stations: readonly Station[];
  readonly maxMm: number;
  readonly minMm: number;
  readonly ovalityMaxMm: number | null;
  readonly taperMm: number;
  readonly expandedUncertaintyMm: number;
  readonly formToleranceMm: number;
  readonly shape: Shape;
  readonly taperToward: 'open' | 'blind' | null;
  readonly suspects: readonly Suspect[];
  readonly nominalCandidates: readonly NominalCandidate[];
  readonly rulesUsed: GaugeRules;
};

export type GaugeRules = Pick<Rules, 'gaugeRepeatabilityMm' | 'gaugeCalibrationMm'>;

/** Differences below this are not called a shape, mm. */
const LEAST_FORM_MM = 0.005;

/**
 * What shape a bore is: its form at each depth and over all, at 20 °C.
 * @param input at least one reading, mm and degrees
 * @throws when there is no reading
 * @source design, chapter 1
 */
export function gaugeBore(input: GaugeInput, rules: Rules): BoreForm {
  if (input.readings.length === 0) throw new Error('gaugeBore needs at least one reading');
  const rulesUsed = gaugeRules(input, rules);
  const readings = readingsAt20(input.readings, input.material, input);
  const stations = readingsByDepth(readings).map((group) =>
    stationOf(
      group.map((i) => readings[i] as Reading),
      rulesUsed.gaugeRepeatabilityMm,
    ),
  );
  const ovalities = stations.flatMap((s) => s.ovalityMm ?? []);
  const expandedUncertaintyMm = gaugeUncertainty(rulesUsed);
  const formToleranceMm = Math.max(expandedUncertaintyMm, LEAST_FORM_MM);
  return {
    stations,
    maxMm: Math.max(...stations.map((s) => s.highMm)),
    minMm: Math.min(...stations.map((s) => s.lowMm)),
    ovalityMaxMm: ovalities.length > 0 ? Math.max(...ovalities) : null,
    taperMm: spread(stations.map((s) => s.meanMm)),
    expandedUncertaintyMm,
    formToleranceMm,
    ...shapeOf(stations, formToleranceMm),
    suspects: suspectsIn(readings, rulesUsed.gaugeRepeatabilityMm),
    nominalCandidates: nominalCandidates(median(readings.map((r) => r.diaMm))),
    rulesUsed,
  };
}

/** The gauge's own figures: this request's go before the shop's. */
export const gaugeRules = (input: Pick<GaugeInput, 'gaugeRepeatabilityMm' | 'gaugeCalibrationMm'>, rules: Rules): GaugeRules => ({
  gaugeRepeatabilityMm: input.gaugeRepeatabilityMm ?? rules.gaugeRepeatabilityMm,
  gaugeCalibrationMm: input.gaugeCalibrationMm ?? rules.gaugeCalibrationMm,
});

/** Expanded uncertainty of a diameter, U = 2·√(repeatability² + calibration²), mm. */
export const gaugeUncertainty = (r: GaugeRules): number => 2 * Math.hypot(r.gaugeRepeatabilityMm, r.gaugeCalibrationMm);
