import { and, asc, desc, eq, gte, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import { COMPLAINT_NAMES } from '@/core/book-in/complaint';
import { waitedFor } from '@/core/plan/known';
import { type Taught, wayGone } from '@/core/plan/taught';
import type { NewTime, SaidTime } from '@/core/plan/times';
import { type Done, workedAt } from '@/core/plan/worked';
import { STATIONS, type Station } from '@/core/station';
import type { Db, Reader } from '../engine/connection';
import { loadUnit } from '../engine/load-unit';
import { saidTimes, taughtUnits, unitEvents, units } from '../tables';

/** Units that teach: the last that left. Older ones tell of another shop. */
const TEACH = 400;
/** Units that are learned from at a time, so that nobody waits for all. */
const AT_ONCE = 10;

/** The station that a unit left by an event, as its payload says, of either version; null where it left none. */
const LEFT = sql<Station | null>`(select coalesce(json_extract(c.value, '$.was.station'), json_extract(c.value, '$.before.station'))
  from json_each(${unitEvents.payload}, '$.changes') c where json_extract(c.value, '$.table') = 'units'
  and coalesce(json_extract(c.value, '$.after.station'), '') is not json_extract(c.value, '$.before.station') limit 1)`;

/** Steps of units in their order, by unit. @param from of this moment on, ms since 1970 */
export const donesOf = async (db: Reader, unitIds: readonly string[], from = 0): Promise<ReadonlyMap<string, readonly Done[]>> => {
  if (unitIds.length === 0) return new Map();
  const rows = await db
    .select({ unitId: unitEvents.unitId, personId: unitEvents.personId, at: unitEvents.at, left: LEFT })
    .from(unitEvents)
    .where(and(inArray(unitEvents.unitId, [...unitIds]), gte(unitEvents.at, from)))
    .orderBy(asc(unitEvents.unitId), asc(unitEvents.version));
  const all = new Map<string, Done[]>();
  for (const { unitId, ...done } of rows) {
    const list = all.get(unitId) ?? [];
    list.push(done);
    all.set(unitId, list);
  }
  return all;
};

/** Learns from the units that have left since the last time. @param gapMin longest pause in work */
export async function learn(db: Db, gapMin: number): Promise<void> {
  const [oldest] = await db
    .select({ at: units.exitAt })
    .from(units)
    .where(isNotNull(units.exitAt))
    .orderBy(desc(units.exitAt))
    .limit(1)
    .offset(TEACH - 1);
  for (;;) {
    const rows = await db
      .select({ id: units.id })
      .from(units)
      .leftJoin(taughtUnits, eq(taughtUnits.unitId, units.id))
      .where(and(inArray(units.exit, ['released', 'scrapped']), gte(units.exitAt, oldest?.at ?? 0), isNull(taughtUnits.unitId)))
      .orderBy(desc(units.exitAt))
      .limit(AT_ONCE);
    if (rows.length === 0) return;
    const dones = await donesOf(
      db,
      rows.map((r) => r.id),
    );
    for (const { id } of rows) {
      const record = await loadUnit(db, id);
      if (record === undefined) continue;
      const { unit } = record;
      const worked = workedAt(dones.get(id) ?? [], gapMin);
      const minutes = Object.fromEntries(
        STATIONS.map((s) => [s, (worked.get(s) ?? 0) + (s === unit.station ? (worked.get('open') ?? 0) : 0)] as const).filter(
          ([, m]) => m > 0,
        ),
      );
      const row = { unitId: id, way: wayGone(record), minutes, waits: waitedFor(record), at: unit.exitAt ?? 0 };
      await db.insert(taughtUnits).values(row).onConflictDoNothing();
    }
  }
}

// What one row of before holds must not take the plan with it.
const Complaints = z.array(z.enum(COMPLAINT_NAMES)).catch([]);
const Minutes = z.partialRecord(z.enum(STATIONS), z.number()).catch({});
const Waits = z.array(z.string()).catch([]);

/** What the last units that left taught, the newest first; of one that came back in by a lead's step nothing. */
export async function taughtBy(db: Reader): Promise<readonly Taught[]> {
  const rows = await db
    .select({
      family: units.family,
      material: units.material,
      complaints: units.complaints,
      way: taughtUnits.way,
      minutes: taughtUnits.minutes,
      waits: taughtUnits.waits,
    })
    .from(taughtUnits)
    .innerJoin(units, eq(units.id, taughtUnits.unitId))
    .where(isNotNull(units.exitAt))
    .orderBy(desc(taughtUnits.at))
    .limit(TEACH);
  return rows.map((r) => ({
    ...r,
    complaints: Complaints.parse(r.complaints),
    minutes: Minutes.parse(r.minutes),
    waits: Waits.parse(r.waits),
  }));
}

export const saidTimesOf = async (db: Reader): Promise<readonly SaidTime[]> =>
  db
    .select({ family: saidTimes.family, way: saidTimes.way, station: saidTimes.station, minutes: saidTimes.minutes })
    .from(saidTimes)
    .orderBy(asc(saidTimes.family));

/** Says how long a station takes, or leaves it to what is learned. @param minutes null: as learned */
export async function sayTime(db: Db, by: { readonly personId: string; readonly at: number }, t: NewTime): Promise<void> {
  const { minutes, ...key } = t;
  await db.transaction(async (tx) => {
    await tx.delete(saidTimes).where(and(eq(saidTimes.family, key.family), eq(saidTimes.way, key.way), eq(saidTimes.station, key.station)));
    if (minutes !== null) await tx.insert(saidTimes).values({ ...key, minutes, ...by });
  });
}
