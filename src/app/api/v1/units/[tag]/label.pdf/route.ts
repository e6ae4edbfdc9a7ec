import { inPool } from '@/pool/pool';
import { fittingAddressOf } from '../../../../../_server/fitting-address';
import { paperAnswer } from '../../../../../_server/paper-answer';
import { unitOrRefusal } from '../../../../../_server/unit-request';

export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  return paperAnswer(await inPool('label', [found.record, await fittingAddressOf(found.db, found.record, request.headers)]));
}
