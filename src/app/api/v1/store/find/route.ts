import { theDb } from '@/db/engine/connection';
import { findArticles, findFitments } from '@/db/store/find-store';
import { unitsOf } from '../../../../_server/preferences';
import { problem } from '../../../../_server/request';
import { fitmentAsk, storeAsk } from '../../../../_server/store-ask';
import { currentPerson } from '../../../../_server/who';

/** What of the store meets a query: `q`, `sort`, `page`, with `show` for articles or `of=fitments`. */
export async function GET(request: Request): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const [db, units] = [await theDb(), await unitsOf()];
  return Response.json(
    asked.of === 'fitments'
      ? await findFitments(db, fitmentAsk(asked), units.length)
      : await findArticles(db, storeAsk(asked), units.length, Date.now()),
  );
}
