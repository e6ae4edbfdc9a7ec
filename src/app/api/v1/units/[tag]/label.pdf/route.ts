import { inPool } from '@/pool/pool';
import { paperAnswer } from '../../../../../_server/paper-answer';
import { shopOrigin } from '../../../../../_server/request';
import { unitOrRefusal } from '../../../../../_server/unit-request';

export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  return paperAnswer(await inPool('label', [found.record, shopOrigin(request.headers)]));
}
