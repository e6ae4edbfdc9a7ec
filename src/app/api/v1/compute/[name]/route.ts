import { CALCULATIONS } from '@/core/api/compute';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { inPool, sayNotDone } from '@/pool/pool';
import { bodyOf } from '../../../../_server/body';
import { mayCompute, problem } from '../../../../_server/request';

/** Larger bodies than any calculation needs are not read. */
const LARGEST_MB = 8;

/** One calculation, stateless: the arithmetic of the screens for scripts and instruments. */
export async function POST(request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  if (!(await mayCompute())) return problem(401, 'Sign in, or send the token as a bearer.');
  const { name } = await params;
  if (!CALCULATIONS.has(name)) return problem(404, 'There is no such calculation.');
  const body = await bodyOf(request, LARGEST_MB);
  if (!body.ok) return body.error;
  const answer = await inPool('compute', { name, body: body.value, rules: (await rulesInForce(await theDb())).rules });
  if (!answer.ok) return problem(503, sayNotDone(answer.error));
  switch (answer.value.kind) {
    case 'done':
      return new Response(answer.value.json, { headers: { 'content-type': 'application/json' } });
    case 'not-json':
      return problem(400, 'The body is not JSON.', [{ path: '', message: 'is not JSON' }]);
    case 'unsound':
      return problem(422, 'The request is not sound.', answer.value.problems);
  }
}
