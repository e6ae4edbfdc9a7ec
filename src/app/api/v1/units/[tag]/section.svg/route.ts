import { drawnParts } from '@/core/unit/drawn-parts';
import { tagOf } from '@/core/unit/unit-record';
import { sectionSvg } from '@/ui/print/section-svg';
import { problem } from '../../../../../_server/door';
import { unitOrRefusal } from '../../../../../_server/unit-door';

/** The unit's section as it stands, in true millimetres; `?view=apart` pulls it apart. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const { record } = unit;
  const { geometry } = record.unit;
  if (geometry === null) return problem(404, 'This unit has no bore to draw.');
  const view = new URL(request.url).searchParams.get('view') === 'apart' ? 'apart' : 'together';
  return new Response(await sectionSvg({ family: record.family, geometry, parts: drawnParts(record), view }), {
    headers: { 'content-type': 'image/svg+xml', 'content-disposition': `attachment; filename="${tagOf(record.unit)}-section.svg"` },
  });
}
