import { EventsAsked } from '@/core/book/read-schemas';
import { eventsAfter } from '@/db/book/read-units';
import { readOrRefusal } from '../../../_server/read-request';

/** What was done to units since a number, a page at a time. */
export async function GET(request: Request): Promise<Response> {
  const read = await readOrRefusal(request, EventsAsked);
  return read instanceof Response ? read : Response.json(await eventsAfter(read.db, read.asked));
}
