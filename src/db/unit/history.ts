import { desc, eq, sql } from 'drizzle-orm';
import { EVENT_KINDS, type EventKind } from '@/core/unit/event-kind';
import type { HistoryLine } from '@/core/unit/history';
import type { Reader } from '../engine/connection';
import { prepared } from '../engine/prepared';
import { people, unitEvents } from '../tables';

const historyQuery = prepared((db: Reader) =>
  db
    .select({
      id: unitEvents.id,
      at: unitEvents.at,
      by: people.name,
      personId: unitEvents.personId,
      kind: unitEvents.kind,
      note: unitEvents.note,
      undoneBy: unitEvents.undoneBy,
    })
    .from(unitEvents)
    .innerJoin(people, eq(unitEvents.personId, people.id))
    .where(eq(unitEvents.unitId, sql.placeholder('unitId')))
    .orderBy(desc(unitEvents.version))
    .limit(sql.placeholder('limit'))
    .prepare(),
);

/** What happened to a unit, the newest first. */
export async function historyOf(db: Reader, unitId: string, limit = 200): Promise<readonly HistoryLine[]> {
  const rows = await historyQuery(db).execute({ unitId, limit });
  return rows.flatMap(({ undoneBy, kind, ...row }) =>
    kind in EVENT_KINDS ? [{ ...row, kind: kind as EventKind, undone: undoneBy !== null }] : [],
  );
}
