import type { CertificateFile } from '@/core/release/certificate-file';
import { certificateOf } from '@/db/release/release';
import { problem } from '../../../../../_server/door';
import { unitOrRefusal } from '../../../../../_server/unit-door';

/** The newest certificate of a unit as a file, for an archive and for `scripts/verify.mjs`. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const certificate = await certificateOf(found.db, found.record.unit.id);
  if (certificate === undefined) return problem(404, 'This unit has not been released.');
  const { number, supersedes, previousHash, hash, statement } = certificate;
  const file: CertificateFile = { eddrin: 'certificate', version: 1, number, supersedes, previousHash, hash, statement };
  return Response.json(file, {
    headers: { 'cache-control': 'private, no-store', 'content-disposition': `attachment; filename="certificate-${number}.json"` },
  });
}
