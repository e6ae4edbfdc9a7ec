import { labelSvg } from '@/papers/label';
import { shopOrigin } from '../../../../../_server/request';
import { unitOrRefusal } from '../../../../../_server/unit-request';

export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  return new Response(labelSvg(found.record, shopOrigin(request.headers)), {
    headers: { 'content-type': 'image/svg+xml', 'cache-control': 'private, no-store' },
  });
}
