import { may } from '@/core/people/role';
import { takeForeignPhotos } from '@/db/book/foreign-photos';
import { shopDb } from '@/db/engine/connection';
import { inPool, sayNotDone } from '@/pool/pool';
import { bodyOf } from '../../../../../../_server/body';
import { fromOurPage, problem } from '../../../../../../_server/request';
import { currentPerson } from '../../../../../../_server/who';

/** The largest zip of one unit's photos. */
const LARGEST_MB = 60;
/** What was left out that is told; how much there is is said. */
const TOLD = 10;

/** Takes in the photos of a unit that was in another shop, as the zip beside its file has them. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  if (!may(person.role, 'files')) return problem(403, 'Your role does not take files in.');
  if (!fromOurPage(request.headers)) return problem(403, 'This did not come from a page of this shop.');
  const body = await bodyOf(request, LARGEST_MB);
  if (!body.ok) return body.error;
  const unzipped = await inPool('unzip-photos', { bytes: body.value });
  if (!unzipped.ok) return problem(503, sayNotDone(unzipped.error));
  if (!unzipped.value.ok) return problem(422, unzipped.value.error);
  const done = await takeForeignPhotos(await shopDb(), (await params).id, unzipped.value.value);
  if (!done.ok) return problem(404, done.error);
  const { taken, left } = done.value;
  return Response.json({
    told: [
      `${taken} ${taken === 1 ? 'photo was' : 'photos were'} taken in.`,
      ...left.slice(0, TOLD),
      ...(left.length > TOLD ? [`${left.length} were left out in all.`] : []),
    ],
  });
}
