import { labelSvg } from '@/papers/label';
import { fittingAddressOf } from '../../../../../_server/fitting-address';
import { unitOrRefusal } from '../../../../../_server/unit-request';

export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  return new Response(labelSvg(found.record, await fittingAddressOf(found.db, found.record, request.headers)), {
    headers: { 'content-type': 'image/svg+xml', 'cache-control': 'private, no-store' },
  });
}
