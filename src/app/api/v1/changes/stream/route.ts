import { tagOf } from '@/core/unit/unit-record';
import { followChanges } from '@/db/engine/changes';
import { eventStream } from '../../../../_server/event-stream';
import { problem } from '../../../../_server/request';
import { currentPerson } from '../../../../_server/who';

/** What is done to units, as it is stored: tag, what, by whom; server-sent events. */
export async function GET(request: Request): Promise<Response> {
  const person = await currentPerson();
  if (person === undefined) return problem(401, 'Sign in first.');
  return eventStream(request, person, (send) =>
    followChanges(({ tagNo, kind, by, personId }) => send({ tag: tagOf({ tagNo }), kind, by, mine: personId === person.id })),
  );
}
