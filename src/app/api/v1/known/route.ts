import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { knownAtCounter } from '@/db/rack/rack';
import { problem } from '../../../_server/request';
import { currentPerson } from '../../../_server/who';

/** Customers and machines that the shop knows, as they are typed at the counter: `customer`, `machine`. */
export async function GET(request: Request): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  if (!may(person.role, 'book-in')) return problem(403, 'Your role may not do this.');
  const asked = new URL(request.url).searchParams;
  return Response.json(await knownAtCounter(await theDb(), asked.get('customer') ?? '', asked.get('machine') ?? ''));
}
