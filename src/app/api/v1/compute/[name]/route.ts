import { CALCULATIONS } from '@/core/api/compute';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { mayCompute, problem } from '../../../../_server/door';

/** Larger bodies than any calculation needs are not read. */
const LARGEST_BODY = 8 * 1024 * 1024;

/** One calculation, stateless: the arithmetic of the screens for scripts and instruments. */
export async function POST(request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  if (!(await mayCompute())) return problem(401, 'Sign in, or send the token as a bearer.');
  const calculation = CALCULATIONS.get((await params).name);
  if (calculation === undefined) return problem(404, 'There is no such calculation.');
  const tooLarge = () => problem(413, 'The body is larger than 8 MB.');
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST_BODY) return tooLarge();
  const text = await request.text();
  if (text.length > LARGEST_BODY) return tooLarge();
  const body = parseJson(text);
  if (body === undefined) return problem(400, 'The body is not JSON.', [{ path: '', message: 'is not JSON' }]);
  const result = await calculation.run(body.value, (await rulesInForce(await theDb())).rules);
  return result.ok ? Response.json(result.value) : problem(422, 'The request is not sound.', result.error);
}

const parseJson = (text: string): { readonly value: unknown } | undefined => {
  try {
    return { value: JSON.parse(text) };
  } catch {
    return undefined;
  }
};
