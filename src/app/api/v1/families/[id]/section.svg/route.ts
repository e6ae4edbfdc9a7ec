import { geometryAt } from '@/core/family/family';
import { boreDrawings } from '@/core/unit/bore-drawing';
import { wholeParts } from '@/core/unit/drawn-parts';
import { inPool } from '@/pool/pool';
import { drawingAnswer } from '../../../../../_server/drawing-answer';
import { familyByAddress } from '../../../../../_server/family-request';
import { problem } from '../../../../../_server/request';
import { currentPerson } from '../../../../../_server/who';

/** A family's section at its drawn bore, in true millimetres; `?view=apart` pulls it apart. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const { id } = await params;
  const found = await familyByAddress(id);
  if (found === undefined || found.family.drawing === null) return problem(404, 'There is no such drawing.');
  const { family } = found;
  const view = new URL(request.url).searchParams.get('view') === 'apart' ? 'apart' : 'together';
  const parts = wholeParts(family);
  const geometry = geometryAt(found.family.drawing, found.family.drawing.atMm);
  return drawingAnswer(
    await inPool('section', { family, bores: boreDrawings(family, { geometry, morePots: [] }), parts, view, kind: 'svg' }),
    `${id}-section`,
    'svg',
  );
}
