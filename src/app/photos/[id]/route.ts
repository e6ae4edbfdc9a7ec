import { readFile } from 'node:fs/promises';
import { theDb } from '@/db/engine/connection';
import { photoFile, photoHash } from '@/db/unit/photos';
import { problem } from '../../_server/door';
import { currentPerson } from '../../_server/who';

/** A stored photo, to people who are signed in; `?size=small` for lists. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const hash = await photoHash(await theDb(), (await params).id);
  const size = new URL(request.url).searchParams.get('size') === 'small' ? 'small' : 'full';
  const bytes = hash === undefined ? undefined : await readFile(photoFile(hash, size)).catch(() => undefined);
  if (bytes === undefined) return problem(404, 'There is no such photo.');
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}
