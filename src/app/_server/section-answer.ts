import { drawnParts } from '@/core/unit/drawn-parts';
import { tagOf } from '@/core/unit/unit-record';
import { sectionSvg } from '@/ui/print/section-svg';
import { problem } from './door';
import { drawingAnswer } from './drawing-answer';
import { unitOrRefusal } from './unit-door';

/** The unit's section as it stands; `?view=apart` pulls it apart. */
export async function sectionAnswer(request: Request, params: Promise<{ tag: string }>, kind: 'svg' | 'png'): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const { record } = unit;
  const { geometry } = record.unit;
  if (geometry === null) return problem(404, 'This unit has no bore to draw.');
  const view = new URL(request.url).searchParams.get('view') === 'apart' ? 'apart' : 'together';
  const svg = await sectionSvg({ family: record.family, geometry, parts: drawnParts(record), view });
  return drawingAnswer(svg, `${tagOf(record.unit)}-section`, kind);
}
