import { laneOf } from '@/core/bore/lane';
import { currentGauging, judgedMarks } from '@/core/unit/facts-of';
import { gaugedSets } from '@/core/unit/gauged-before';
import { tagOf } from '@/core/unit/unit-record';
import { rulesInForce } from '@/db/rules';
import { boreMapSvg } from '@/ui/print/bore-map-svg';
import { problem } from './door';
import { drawingAnswer } from './drawing-answer';
import { unitOrRefusal } from './unit-door';

/** The unit's bore map as it stands, with its marks as they are judged. */
export async function boreMapAnswer(params: Promise<{ tag: string }>, kind: 'svg' | 'png'): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const { record, db } = unit;
  const { geometry } = record.unit;
  if (geometry === null) return problem(404, 'This unit has no bore to draw.');
  const { rules } = await rulesInForce(db);
  const gauging = currentGauging(record);
  const sets = gauging === undefined ? [] : gaugedSets({ unit: record.unit, gaugings: [gauging] }, rules);
  const svg = await boreMapSvg(
    geometry,
    geometry.seals.map((s) => laneOf(s, rules.laneMarginMm)),
    judgedMarks(record),
    sets.flatMap((s) => s.stations.map((x) => x.xMm)),
  );
  return drawingAnswer(svg, `${tagOf(record.unit)}-bore-map`, kind);
}
