import { sql } from 'drizzle-orm';
import { sharedStamp } from '../engine/cached-units';
import type { Reader } from '../engine/connection';
import { people, pins, saidTimes, units } from '../tables';

/** Changes when something that bears on the plan does: units, who works when, what is pinned, how long things take. Costs one short statement. */
export const dayStamp = async (db: Reader): Promise<string> => {
  const rows = await db.all<{ readonly stamp: string }>(sql`select
    (select count(*) || ' ' || coalesce(sum(version), 0) || ' ' || coalesce(max(changed_at), 0) from ${units} where exit is null) || ' ' ||
    (select count(*) || ' ' || coalesce(max(updated_at), 0) from ${people}) || ' ' ||
    (select count(*) || ' ' || count(ended_at) from ${pins}) || ' ' ||
    (select count(*) || ' ' || coalesce(max(at), 0) from ${saidTimes}) || ' ' || ${sharedStamp} as stamp`);
  return rows[0]?.stamp ?? '';
};
