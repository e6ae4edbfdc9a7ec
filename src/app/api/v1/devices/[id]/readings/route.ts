import { SentReadings } from '@/core/gauge/sent-reading';
import { problemsOf } from '@/core/schema/problems';
import { theDb } from '@/db/engine/connection';
import { isToken } from '@/db/gauge/instruments';
import { tellReadings } from '@/ports/gauge-line';
import { bearerOf, problem } from '../../../../../_server/door';

/** A gauge posts its readings with its own token; they go into the grid that is open with it, and are saved there by a person. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const token = bearerOf(request.headers);
  if (token === undefined || !(await isToken(await theDb(), id, token))) return problem(401, 'The token is not that of this gauge.');
  const body: unknown = await request.json().catch(() => undefined);
  if (body === undefined) return problem(400, 'The body is not JSON.');
  const sent = SentReadings.safeParse(body);
  if (!sent.success) return problem(422, 'These are no readings.', problemsOf(sent.error));
  const heard = tellReadings(id, sent.data.readings);
  if (heard === 0) return problem(409, 'No bench has a gauge grid open with this gauge: choose it at Gauge, and measure again.');
  return Response.json({ taken: sent.data.readings.length }, { status: 202 });
}
