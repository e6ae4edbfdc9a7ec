import { renderToBuffer } from '@react-pdf/renderer';
import { travellerOf } from '@/core/release/traveller';
import { drawnParts } from '@/core/unit/drawn-parts';
import { unitAddress } from '@/ui/print/label';
import { sectionSvg } from '@/ui/print/section-svg';
import { travellerPdf } from '@/ui/print/traveller-pdf';
import { shopOrigin } from '../../../../../_server/door';
import { pngOf } from '../../../../../_server/drawing-answer';
import { unitOrRefusal } from '../../../../../_server/unit-door';

/** The sheet that travels with the unit, as it stands. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const { record } = found;
  const { geometry } = record.unit;
  const drawing =
    geometry === null ? undefined : await sectionSvg({ family: record.family, geometry, parts: drawnParts(record), view: 'together' });
  const pdf = await renderToBuffer(
    travellerPdf(travellerOf(record), {
      section: drawing === undefined ? null : await pngOf(drawing),
      address: unitAddress(record, shopOrigin(request.headers)),
      printedAt: Date.now(),
    }),
  );
  return new Response(new Uint8Array(pdf), { headers: { 'content-type': 'application/pdf', 'cache-control': 'private, no-store' } });
}
