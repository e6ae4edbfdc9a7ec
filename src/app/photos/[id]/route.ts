import { readFile } from 'node:fs/promises';
import { theDb } from '@/db/connection';
import { photoFile, photoHash } from '@/db/stations/photos';
import { problem } from '../../_server/door';
import { currentPerson } from '../../_server/who';

/** A stored photo, to people who are signed in. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const hash = await photoHash(await theDb(), (await params).id);
  const bytes = hash === undefined ? undefined : await readFile(photoFile(hash)).catch(() => undefined);
  if (bytes === undefined) return problem(404, 'There is no such photo.');
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}
