import { tagOf } from '@/core/unit/unit-record';
import { rulesInForce } from '@/db/rules/rules';
import { boreMapSvg } from '@/ui/print/bore-svg';
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
  const svg = await boreMapSvg(record, geometry, (await rulesInForce(db)).rules);
  return drawingAnswer(svg, `${tagOf(record.unit)}-bore-map`, kind);
}
