import { SentReadings } from '@/core/gauge/sent-reading';
import { problemsOf } from '@/core/schema/problems';
import { theDb } from '@/db/engine/connection';
import { isToken } from '@/db/gauge/instruments';
import { tokenOpens } from '@/db/shop/tokens';
import { tellReadings } from '@/ports/gauge-line';
import { bodyOf } from '../../../../../_server/body';
import { bearerOf, problem } from '../../../../../_server/request';

/** Larger than any gauge says at once. */
const LARGEST_MB = 1;

const parsed = (body: Uint8Array): unknown => {
  try {
    return JSON.parse(new TextDecoder().decode(body));
  } catch {
    return undefined;
  }
};

/** A gauge posts its readings with its own token, or one of the shop's for instruments; they go into the grid that is open with it, and are saved there by a person. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const token = bearerOf(request.headers);
  const db = await theDb();
  const opens = token !== undefined && ((await isToken(db, id, token)) || (await tokenOpens(db, token, 'device', Date.now())));
  if (!opens) return problem(401, 'The token is not that of this gauge.');
  const body = await bodyOf(request, LARGEST_MB);
  if (!body.ok) return body.error;
  const said = parsed(body.value);
  if (said === undefined) return problem(400, 'The body is not JSON.');
  const sent = SentReadings.safeParse(said);
  if (!sent.success) return problem(422, 'These are no readings.', problemsOf(sent.error));
  const heard = tellReadings(id, sent.data.readings);
  if (heard === 0) return problem(409, 'No bench has a gauge grid open with this gauge: choose it at Gauge, and measure again.');
  return Response.json({ taken: sent.data.readings.length }, { status: 202 });
}
