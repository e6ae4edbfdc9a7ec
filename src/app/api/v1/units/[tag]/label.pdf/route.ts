import { renderToBuffer } from '@react-pdf/renderer';
import { labelPdf } from '@/ui/print/label-pdf';
import { shopOrigin } from '../../../../../_server/door';
import { unitOrRefusal } from '../../../../../_server/unit-door';

export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const pdf = await renderToBuffer(labelPdf(found.record, shopOrigin(request.headers)));
  return new Response(new Uint8Array(pdf), { headers: { 'content-type': 'application/pdf', 'cache-control': 'private, no-store' } });
}
