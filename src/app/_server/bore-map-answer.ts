import { rulesInForce } from '@/db/rules/rules';
import { inPool } from '@/pool/pool';
import type { DrawingKind } from '@/pool/tasks';
import { drawingAnswer } from './drawing-answer';
import { boreOrRefusal } from './unit-request';

/** The unit's bore map as it stands, with its marks as they are judged. */
export async function boreMapAnswer(request: Request, params: Promise<{ tag: string }>, kind: DrawingKind): Promise<Response> {
  const bore = await boreOrRefusal(request, params);
  if (bore instanceof Response) return bore;
  const { record, geometry } = bore;
  const { rules } = await rulesInForce(bore.db);
  return drawingAnswer(await inPool('bore-map', { record, geometry, rules, kind }), `${bore.file}-bore-map`, kind);
}
