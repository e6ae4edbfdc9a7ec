import { createElement } from 'react';
import { gaugedOf } from '@/core/bore-map/gauged';
import { MAP_WIDTH, trueScale } from '@/core/bore-map/map-scale';
import type { Geometry } from '@/core/family/geometry';
import { laneOf } from '@/core/family/lane';
import { METRIC } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import { currentGauging, currentVerdict, judgedMarks } from '@/core/unit/facts-of';
import { gaugedSets } from '@/core/unit/gauged-before';
import type { UnitRecord } from '@/core/unit/unit-record';
import { MapDefs, MapGround } from '@/ui/bore-map/map-ground';
import { MapMarks } from '@/ui/bore-map/map-marks';
import { drawingFile } from './drawing-file';
import { Profile } from './profile';

/** The unit's bore unrolled as a file of its own, one millimetre of bore a millimetre, its marks with their verdict's pattern. */
export const boreMapSvg = (record: UnitRecord, geometry: Geometry, rules: Rules): Promise<string> => {
  const { scale, pxPerMm } = trueScale(geometry.lengthMm, geometry.nominalMm);
  const lanes = geometry.seals.map((s) => laneOf(s, rules.laneMarginMm));
  const gauging = currentGauging(record);
  const sets = gauging === undefined ? [] : gaugedSets({ unit: record.unit, gaugings: [gauging] }, rules);
  const gauged = gaugedOf({ stations: sets.flatMap((s) => s.stations), lanes, lengthMm: geometry.lengthMm, rules });
  const map = createElement(
    'svg',
    { viewBox: `0 0 ${MAP_WIDTH} ${scale.height}` },
    createElement(MapDefs, { scale }),
    createElement(MapGround, { scale, geometry, lanes, gauged, units: METRIC }),
    createElement(MapMarks, { scale, marks: judgedMarks(record) }),
  );
  return drawingFile(map, 1 / pxPerMm);
};

/** Width of a profile on paper, mm. */
const PROFILE_MM = 170;

/** The profile behind the unit's verdict as a file of its own; undefined where there is none. */
export const profileSvg = (record: UnitRecord, geometry: Geometry, rules: Rules): Promise<string> | undefined => {
  const answer = currentVerdict(record)?.answer;
  if (answer === undefined || answer.gauge === null) return undefined;
  const chart = createElement(Profile, {
    form: answer.gauge,
    lengthMm: geometry.lengthMm,
    nominalMm: geometry.nominalMm,
    limitMm: answer.limitDiaMm,
    targetMm: answer.targetDiaMm,
    earlier: gaugedSets(record, rules, currentGauging(record)),
    units: METRIC,
  });
  return drawingFile(chart, PROFILE_MM / MAP_WIDTH);
};
