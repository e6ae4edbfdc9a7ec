import { renderToBuffer } from '@react-pdf/renderer';
import { certificateOf } from '@/db/release/release';
import { certificatePdf } from '@/ui/print/certificate-pdf';
import { problem, shopOrigin } from '../../../../../_server/door';
import { unitOrRefusal } from '../../../../../_server/unit-door';

export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const certificate = await certificateOf(found.db, found.record.unit.id);
  if (certificate === undefined) return problem(404, 'This unit has not been released.');
  const pdf = await renderToBuffer(certificatePdf(certificate, shopOrigin(request.headers)));
  return new Response(new Uint8Array(pdf), { headers: { 'content-type': 'application/pdf', 'cache-control': 'private, no-store' } });
}
