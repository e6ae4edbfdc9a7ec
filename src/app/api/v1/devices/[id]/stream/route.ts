import { followGauge } from '@/ports/gauge-line';
import { eventStream } from '../../../../../_server/event-stream';
import { problem } from '../../../../../_server/request';
import { currentPerson } from '../../../../../_server/who';

/** What a gauge posts, as server-sent events, for the page that has its grid open. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  const { id } = await params;
  return eventStream(request, person, (send) => followGauge(id, send));
}
