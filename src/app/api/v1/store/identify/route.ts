import { measuredOf } from '@/core/identify/identify-query';
import { theDb } from '@/db/engine/connection';
import { identifyInStore } from '@/db/identify/identify';
import { rulesInForce } from '@/db/rules/rules';
import { problem } from '../../../../_server/request';
import { currentPerson } from '../../../../_server/who';

/** Which of the shop's fitments a unit is; its readings are in the query, `family` narrows it. */
export async function GET(request: Request): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const query = Object.fromEntries(new URL(request.url).searchParams);
  const db = await theDb();
  return Response.json(await identifyInStore(db, measuredOf(query), query.family ?? null, (await rulesInForce(db)).rules));
}
