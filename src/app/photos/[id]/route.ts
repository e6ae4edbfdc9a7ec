import { theDb } from '@/db/engine/connection';
import { photoBytes } from '@/db/unit/photos';
import { theLog } from '@/log';
import { problem } from '../../_server/request';
import { currentPerson } from '../../_server/who';

/** A stored photo, to people who are signed in; `?size=small` for lists. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const size = new URL(request.url).searchParams.get('size') === 'small' ? 'small' : 'full';
  try {
    const bytes = await photoBytes(await theDb(), (await params).id, size);
    if (bytes === undefined) return problem(404, 'There is no such photo.');
    return new Response(new Uint8Array(bytes), {
      headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
    });
  } catch (error) {
    theLog().error({ err: error }, 'a photo could not be read');
    return problem(503, 'The photo cannot be read now. Try again.');
  }
}
