import { SHOW_NAMES, type Show } from '@/core/store/store-line';
import { theDb } from '@/db/engine/connection';
import { findArticles, findFitments } from '@/db/store/find-store';
import { problem } from '../../../../_server/door';
import { unitsOf } from '../../../../_server/preferences';
import { currentPerson } from '../../../../_server/who';

/** What of the store meets a query: `q`, with `show` for articles or `of=fitments`. */
export async function GET(request: Request): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const { searchParams } = new URL(request.url);
  const [db, units, q] = [await theDb(), await unitsOf(), searchParams.get('q') ?? ''];
  if (searchParams.get('of') === 'fitments') return Response.json(await findFitments(db, q, units.length));
  const show = SHOW_NAMES.find((s) => s === searchParams.get('show')) ?? ('all' as Show);
  return Response.json(await findArticles(db, { q, show }, units.length, Date.now()));
}
