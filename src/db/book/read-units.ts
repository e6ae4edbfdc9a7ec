import { and, asc, eq, gt, isNotNull, isNull, sql } from 'drizzle-orm';
import type { EventsAsked, ReadEvent, ReadUnit, UnitsAsked } from '@/core/book/read-schemas';
import { readUnitOf } from '@/core/book/read-unit';
import { tagOf } from '@/core/unit/unit-record';
import type { Reader } from '../engine/connection';
import { toUnit } from '../records/work';
import { jobs, people, unitEvents, units } from '../tables';

/** Units by their tags’ numbers, a page behind a number. */
export async function unitsAfter(
  db: Reader,
  asked: UnitsAsked,
): Promise<{ readonly units: readonly ReadUnit[]; readonly next: string | null; readonly inAll: number }> {
  const within = asked.in === 'shop' ? isNull(units.exit) : asked.in === 'left' ? isNotNull(units.exit) : undefined;
  const [rows, [counted]] = await Promise.all([
    db
      .select({ unit: units, machine: jobs.machine, customerId: jobs.customerId })
      .from(units)
      .innerJoin(jobs, eq(units.jobId, jobs.id))
      .where(and(within, gt(units.tagNo, asked.after)))
      .orderBy(asc(units.tagNo))
      .limit(asked.limit),
    db.select({ n: sql<number>`count(*)` }).from(units).where(within),
  ]);
  const last = rows.at(-1)?.unit.tagNo;
  return {
    units: rows.map(({ unit, ...job }) => readUnitOf(toUnit(unit), job)),
    next: last === undefined || rows.length < asked.limit ? null : String(last),
    inAll: counted?.n ?? 0,
  };
}

/** The order in which changes were written: one writer writes them, and none is ever taken away. */
const number = sql<number>`unit_events.rowid`;

/** What was done to units, in the order in which it was written, a page behind a number. */
export async function eventsAfter(
  db: Reader,
  asked: EventsAsked,
): Promise<{ readonly events: readonly ReadEvent[]; readonly next: string | null }> {
  const { id, unitId, version, at, kind, note } = unitEvents;
  const rows = await db
    .select({ number, id, unitId, version, at, kind, note, by: people.name, tagNo: units.tagNo })
    .from(unitEvents)
    .innerJoin(units, eq(unitEvents.unitId, units.id))
    .innerJoin(people, eq(unitEvents.personId, people.id))
    .where(sql`unit_events.rowid > ${asked.after}`)
    .orderBy(asc(number))
    .limit(asked.limit);
  const last = rows.at(-1)?.number;
  return {
    events: rows.map(({ tagNo, ...event }) => ({ ...event, tag: tagOf({ tagNo }) })),
    next: last === undefined || rows.length < asked.limit ? null : String(last),
  };
}
