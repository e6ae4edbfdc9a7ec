import { asc, eq, inArray } from 'drizzle-orm';
import { readRecordOf } from '@/core/book/read-unit';
import type { UnitFile } from '@/core/book/unit-file';
import type { UnitRecord } from '@/core/unit/unit-record';
import type { Reader } from '../engine/connection';
import { TRACKED, type TrackedName } from '../records/registry';
import { readings, unitEvents } from '../tables';

/** What is a unit’s own and goes with it; what was agreed with its customer, and what moved on the shelf, stays. */
const GOES: readonly TrackedName[] = [
  'gaugings',
  'marks',
  'verdicts',
  'parts',
  'steps',
  'bags',
  'identities',
  'timers',
  'runs',
  'photos',
  'guideTicks',
  'treatments',
  'findings',
  'honePasses',
  'underlays',
  'sleevings',
  'benchRecords',
];
/** Columns that say who: people are told apart, and not named. */
const WHO = ['personId', 'ownerId', 'openedBy'];

/** A unit with its whole history. @param shop the name that it comes from */
export async function unitFileOf(db: Reader, record: UnitRecord, shop: string, now: number): Promise<UnitFile> {
  const { id } = record.unit;
  const people = new Map<string, string>();
  const person = (who: string): string => {
    const known = people.get(who) ?? `person ${people.size + 1}`;
    people.set(who, known);
    return known;
  };
  const unnamed = (row: Readonly<Record<string, unknown>>): Record<string, unknown> =>
    Object.fromEntries(
      Object.entries(row).flatMap(([name, value]) =>
        name === 'unitId' ? [] : [[name, WHO.includes(name) && typeof value === 'string' ? person(value) : value]],
      ),
    );
  const events = await db.select().from(unitEvents).where(eq(unitEvents.unitId, id)).orderBy(asc(unitEvents.version));
  const rows: Record<string, Record<string, unknown>[]> = {};
  for (const name of GOES) {
    const table = TRACKED[name];
    if (!('unitId' in table)) continue;
    rows[name] = (
      (await db
        .select()
        .from(table as typeof TRACKED.parts)
        .where(eq((table as typeof TRACKED.parts).unitId, id))) as Record<string, unknown>[]
    ).map(unnamed);
  }
  const gaugingIds = record.gaugings.map((g) => g.id);
  rows.readings = gaugingIds.length === 0 ? [] : await db.select().from(readings).where(inArray(readings.gaugingId, gaugingIds));
  return {
    eddrin: 'unit',
    version: 1,
    exportedAt: now,
    shop,
    unit: readRecordOf(record),
    rows,
    events: events.map(({ version, at, personId, kind, note, payload }) => ({
      version,
      at,
      by: person(personId),
      kind,
      note,
      payload: withoutPeople(payload, person),
    })),
  };
}

/** An event’s payload holds rows as they were: who is in them is told apart as everywhere. */
const withoutPeople = (value: unknown, person: (who: string) => string): unknown => {
  if (Array.isArray(value)) return value.map((v) => withoutPeople(v, person));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, v]) => [name, WHO.includes(name) && typeof v === 'string' ? person(v) : withoutPeople(v, person)]),
  );
};
