import { certificateFileOf } from '@/db/release/release';
import { problem } from '../../../../../_server/request';
import { unitOrRefusal } from '../../../../../_server/unit-request';

/** The newest certificate of a unit as a file, for an archive and for `scripts/verify.mjs`. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const file = await certificateFileOf(found.db, found.record.unit.id);
  if (file === undefined) return problem(404, 'This unit has not been released.');
  return Response.json(file, {
    headers: { 'cache-control': 'private, no-store', 'content-disposition': `attachment; filename="certificate-${file.number}.json"` },
  });
}
