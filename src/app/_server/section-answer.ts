import { boreDrawings } from '@/core/unit/bore-drawing';
import { drawnParts } from '@/core/unit/drawn-parts';
import { tagOf } from '@/core/unit/unit-record';
import { inPool } from '@/pool/pool';
import type { DrawingKind } from '@/pool/tasks';
import { drawingAnswer } from './drawing-answer';
import { problem } from './request';
import { unitOrRefusal } from './unit-request';

/** The unit's section as it stands; `?view=apart` pulls it apart. */
export async function sectionAnswer(request: Request, params: Promise<{ tag: string }>, kind: DrawingKind): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const { record } = unit;
  const bores = boreDrawings(record.family, record.unit);
  if (bores.length === 0) return problem(404, 'This unit has no bore to draw.');
  const view = new URL(request.url).searchParams.get('view') === 'apart' ? 'apart' : 'together';
  const drawn = await inPool('section', { family: record.family, bores, parts: drawnParts(record), view, kind });
  return drawingAnswer(drawn, `${tagOf(record.unit)}-section`, kind);
}
