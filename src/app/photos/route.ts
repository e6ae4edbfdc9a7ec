import { createHash } from 'node:crypto';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { may } from '@/core/people/role';
import { problemsOf } from '@/core/schema/problems';
import { Id } from '@/core/schema/target';
import { PHOTO_KINDS } from '@/core/unit/photo';
import { saySaveError } from '@/core/unit/save-error';
import { theDb } from '@/db/engine/connection';
import { addPhoto } from '@/db/unit/photos';
import { theLog } from '@/log';
import { bodyOf } from '../_server/body';
import { changeOf } from '../_server/change-of';
import { fromOurPage, problem } from '../_server/request';
import { currentPerson } from '../_server/who';

/** Largest body that is read at all; benches send pictures that they have made smaller. */
const LARGEST_MB = 12;

const PhotoSchema = z.object({
  eventId: Id,
  unitId: Id,
  caption: z.string().max(120),
  onKind: z.enum(PHOTO_KINDS),
  onId: Id,
  phase: z.enum(['out', 'in']),
  file: z.instanceof(File).refine((f) => f.size > 0, 'the photo is empty'),
});

/**
 * Takes one photo as a form. Nothing is kept before the whole of it has arrived and been re-encoded; a retry with the same id applies once.
 * A route and not an action, so that its size is refused by its header and a bench can send several and see each go.
 */
export async function POST(request: Request): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  if (!may(person.role, 'book-in')) return problem(403, 'Your role may not do this.');
  if (!fromOurPage(request.headers)) return problem(403, 'That came from another site.');
  const body = await bodyOf(request, LARGEST_MB);
  if (!body.ok) return body.error;
  const type = request.headers.get('content-type') ?? '';
  const form = await new Response(body.value, { headers: { 'content-type': type } }).formData().catch(() => undefined);
  if (form === undefined) return problem(400, 'The photo did not arrive whole; send it again.');
  const parsed = PhotoSchema.safeParse(Object.fromEntries(form));
  if (!parsed.success) return problem(422, 'That is not a photo with its place.', problemsOf(parsed.error));
  const { file, caption, onKind, onId, phase, ...target } = parsed.data;
  const photo = { caption, bytes: new Uint8Array(await file.arrayBuffer()), on: { kind: onKind, id: onId }, phase };
  const said = { ...photo, bytes: createHash('sha256').update(photo.bytes).digest('base64url') };
  const change = changeOf({ ...target, version: null, ...said }, person, Date.now(), 'photo-added', caption);
  const result = await addPhoto(await theDb(), change, photo).catch((error: unknown) => {
    theLog().error({ err: error, id: request.headers.get('x-request-id') }, 'a photo could not be kept');
    return undefined;
  });
  if (result === undefined) return problem(503, 'The photo could not be kept now. Send it again.');
  if (!result.ok) return problem(422, saySaveError(result.error).join(' '));
  revalidatePath('/', 'layout');
  return Response.json(result.value, { status: 201 });
}
