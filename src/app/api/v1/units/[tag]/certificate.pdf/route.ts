import { certificateOf } from '@/db/release/release';
import { inPool } from '@/pool/pool';
import { fittingAddressOf } from '../../../../../_server/fitting-address';
import { paperAnswer } from '../../../../../_server/paper-answer';
import { problem, shopOrigin } from '../../../../../_server/request';
import { unitOrRefusal } from '../../../../../_server/unit-request';

export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const certificate = await certificateOf(found.db, found.record.unit.id);
  if (certificate === undefined) return problem(404, 'This unit has not been released.');
  return paperAnswer(
    await inPool('certificate', [
      certificate,
      shopOrigin(request.headers),
      await fittingAddressOf(found.db, found.record, request.headers),
    ]),
  );
}
