import { zipSync } from 'fflate';
import { tagOf } from '@/core/unit/unit-record';
import { photoBytes } from '@/db/unit/photos';
import { problem } from '../../../../../_server/request';
import { unitOrRefusal } from '../../../../../_server/unit-request';

/** Photos that one file holds; they are small, re-encoded when they were stored. */
const MOST = 200;

/** The unit’s photos beside its file, each by its id. */
export async function GET(_: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const found = await unitOrRefusal(params);
  if (found instanceof Response) return found;
  const { photos } = found.record;
  if (photos.length > MOST) return problem(413, `It has ${photos.length} photos; ${MOST} are taken out at once.`);
  const files: Record<string, Uint8Array> = {};
  for (const { id } of photos) {
    const bytes = await photoBytes(found.db, id, 'full');
    if (bytes !== undefined) files[`${id}.webp`] = new Uint8Array(bytes);
  }
  // Pictures do not squeeze: they are stored as they are.
  return new Response(new Uint8Array(zipSync(files, { level: 0 })), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${tagOf(found.record.unit)}-photos.zip"`,
      'cache-control': 'private, no-store',
    },
  });
}
