import { tagOf } from '@/core/unit/unit-record';
import { rulesInForce } from '@/db/rules/rules';
import { inPool } from '@/pool/pool';
import type { DrawingKind } from '@/pool/tasks';
import { problem } from './door';
import { drawingAnswer } from './drawing-answer';
import { unitOrRefusal } from './unit-door';

/** The unit's bore map as it stands, with its marks as they are judged. */
export async function boreMapAnswer(params: Promise<{ tag: string }>, kind: DrawingKind): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const { record, db } = unit;
  const { geometry } = record.unit;
  if (geometry === null) return problem(404, 'This unit has no bore to draw.');
  const { rules } = await rulesInForce(db);
  return drawingAnswer(await inPool('bore-map', { record, geometry, rules, kind }), `${tagOf(record.unit)}-bore-map`, kind);
}
