import { createElement } from 'react';
import type { Lane } from '@/core/bore/lane';
import type { Geometry } from '@/core/family/geometry';
import { METRIC } from '@/core/quantity/units';
import { MapDefs, MapGround } from '../bore-map/map-ground';
import { type MapMark, MapMarks } from '../bore-map/map-marks';
import { MAP_WIDTH, trueScale } from '../bore-map/map-scale';
import { drawingFile } from './drawing-file';

/** The bore unrolled as a file of its own, one millimetre of bore a millimetre, its marks with their verdict's pattern. */
export const boreMapSvg = (
  geometry: Geometry,
  lanes: readonly Lane[],
  marks: readonly MapMark[],
  stationsMm: readonly number[],
): Promise<string> => {
  const { scale, pxPerMm } = trueScale(geometry.lengthMm, geometry.nominalMm);
  const map = createElement(
    'svg',
    { viewBox: `0 0 ${MAP_WIDTH} ${scale.height}` },
    createElement(MapDefs, { scale }),
    createElement(MapGround, { scale, geometry, lanes, stationsMm, units: METRIC }),
    createElement(MapMarks, { scale, marks }),
  );
  return drawingFile(map, 1 / pxPerMm);
};
