import { iCalendar } from '@/core/unit/calendar';
import { theDb } from '@/db/engine/connection';
import { calendarOf, calendarOwner } from '@/db/unit/calendar';
import { plannedFor } from '../../../../_server/day-now';
import { problem } from '../../../../_server/request';

/** A person's waits and what is promised, for a calendar program. The key in the address is all that opens it; the person can have a new one at any time. */
export async function GET(_: Request, { params }: { params: Promise<{ key: string }> }): Promise<Response> {
  const db = await theDb();
  const personId = await calendarOwner(db, (await params).key.replace(/\.ics$/, ''));
  if (personId === undefined) return problem(404, 'There is no such calendar.');
  const [own, planned] = await Promise.all([calendarOf(db, personId), plannedFor(db, personId)]);
  return new Response(iCalendar([...own, ...planned], Date.now()), {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private, max-age=60' },
  });
}
