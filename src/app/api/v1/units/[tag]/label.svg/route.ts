import { labelSvg } from '@/ui/print/label';
import { unitOrRefusal } from '../../../../../_server/unit-door';

export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  return new Response(labelSvg(found.record, new URL(request.url).origin), {
    headers: { 'content-type': 'image/svg+xml', 'cache-control': 'private, no-store' },
  });
}
