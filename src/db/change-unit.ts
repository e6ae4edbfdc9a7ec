import { and, desc, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import type { Person } from '@/core/people/role';
import { fail, ok, type Result } from '@/core/result';
import type { EventKind } from '@/core/unit/event-kind';
import { summaryOf } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import type { Db, Tx } from './connection';
import { type Edit, EventPayload, put, type Row, TRACKED, TRACKED_NAMES, type TrackedName } from './event-payload';
import { loadUnit } from './load-unit';
import { people, unitEvents, units } from './tables';

/** Who changes which unit, and what it is called. The client makes `eventId`: a retry with the same one applies once. */
export type Change = {
  readonly eventId: string;
  readonly unitId: string;
  readonly person: Person;
  readonly at: number;
  /** The version the person was looking at; null for changes that only add and cannot clash. */
  readonly version: number | null;
  readonly kind: EventKind;
  readonly note: string;
};

export type ChangeError =
  | { readonly code: 'no-such-unit' }
  | { readonly code: 'stale'; readonly yours: number; readonly theirs: number; readonly by: string; readonly at: number; readonly what: string }
  | { readonly code: 'refused'; readonly reasons: readonly string[] };

export type Changed = { readonly unitId: string; readonly version: number };

export const refused = (...reasons: readonly string[]) => fail({ code: 'refused' as const, reasons });

/**
 * The one way to change a unit: its rows, its summary, its version and its event go in one transaction.
 * @param decide gives the edits from the unit as it is inside the transaction, or refuses
 */
export function changeUnit(
  db: Db,
  change: Change,
  decide: (unit: UnitRecord, tx: Tx) => Result<readonly Edit[], ChangeError> | Promise<Result<readonly Edit[], ChangeError>>,
): Promise<Result<Changed, ChangeError>> {
  return db.transaction(async (tx) => {
    const [repeated] = await tx.select({ unitId: unitEvents.unitId, version: unitEvents.version }).from(unitEvents).where(eq(unitEvents.id, change.eventId));
    if (repeated !== undefined) return ok(repeated);
    const before = await loadUnit(tx, change.unitId);
    if (before === undefined) return fail({ code: 'no-such-unit' });
    if (change.version !== null && change.version !== before.unit.version) return fail(await staleness(tx, change.version, before));
    const edits = await decide(before, tx);
    if (!edits.ok) return edits;
    const rows = await applyEdits(tx, edits.value);
    const [row] = await tx.select().from(units).where(eq(units.id, change.unitId));
    const after = await loadUnit(tx, change.unitId);
    if (row === undefined || after === undefined) throw new Error(`unit ${change.unitId} vanished inside its change`);
    const version = before.unit.version + 1;
    const summary = await applyEdits(tx, [put('units', { ...row, ...summaryOf(after), version })]);
    await appendEvent(tx, change, version, [...rows.filter((c) => c.table !== 'units'), ...merged(rows, summary)]);
    return ok({ unitId: change.unitId, version });
  });
}

/** Writes rows and says what each was before. Parents are put before children, and dropped after them. */
export async function applyEdits(tx: Tx, edits: readonly Edit[]): Promise<EventPayload['changes']> {
  const changes: EventPayload['changes'] = [];
  for (const name of TRACKED_NAMES) {
    const rows = edits.flatMap((e) => (e.table === name && 'put' in e ? [e.put] : []));
    if (rows.length === 0) continue;
    const before = await rowsById(tx, name, rows.map((r) => r.id));
    await upsert(tx, name, rows);
    for (const row of rows) changes.push({ table: name, id: row.id, before: before.get(row.id) ?? null, after: row } as EventPayload['changes'][number]);
  }
  for (const name of [...TRACKED_NAMES].reverse()) {
    const ids = edits.flatMap((e) => (e.table === name && 'drop' in e ? [e.drop] : []));
    if (ids.length === 0) continue;
    const before = await rowsById(tx, name, ids);
    await tx.delete(TRACKED[name]).where(inArray(TRACKED[name].id, ids));
    for (const id of ids) changes.push({ table: name, id, before: before.get(id) ?? null, after: null } as EventPayload['changes'][number]);
  }
  return changes;
}

const rowsById = async (tx: Tx, name: TrackedName, ids: readonly string[]): Promise<ReadonlyMap<string, Row<TrackedName>>> => {
  const table = TRACKED[name];
  const rows = (await tx.select().from(table).where(inArray(table.id, [...ids]))) as readonly Row<TrackedName>[];
  return new Map(rows.map((r) => [r.id, r]));
};

const upsert = async (tx: Tx, name: TrackedName, rows: readonly Row<TrackedName>[]): Promise<void> => {
  const table = TRACKED[name];
  const set = Object.fromEntries(Object.keys(getTableColumns(table)).filter((c) => c !== 'id').map((c) => [c, sql.raw(`excluded.${snake(c)}`)]));
  // Rows of one table: the union of row types does not narrow by itself.
  await tx.insert(table).values(rows as never).onConflictDoUpdate({ target: table.id, set });
};

const snake = (name: string): string => name.replace(/([a-z0-9])([A-Z])/g, '$1_$2').toLowerCase();

/** The unit's own row once: as it was before the edits, and as it is after its summary. */
const merged = (rows: EventPayload['changes'], summary: EventPayload['changes']): EventPayload['changes'] => {
  const first = rows.find((c) => c.table === 'units');
  return summary.map((c) => (first === undefined ? c : ({ ...c, before: first.before } as typeof c)));
};

export async function appendEvent(tx: Tx, change: Omit<Change, 'version'>, version: number, changes: EventPayload['changes']): Promise<void> {
  const payload = EventPayload.parse({ version: 1, changes });
  await tx.insert(unitEvents).values({ id: change.eventId, unitId: change.unitId, version, at: change.at, personId: change.person.id, kind: change.kind, note: change.note, payload });
}

const staleness = async (tx: Tx, yours: number, before: UnitRecord): Promise<ChangeError> => {
  const [last] = await tx
    .select({ by: people.name, at: unitEvents.at, what: unitEvents.kind })
    .from(unitEvents)
    .innerJoin(people, eq(unitEvents.personId, people.id))
    .where(and(eq(unitEvents.unitId, before.unit.id)))
    .orderBy(desc(unitEvents.version))
    .limit(1);
  return { code: 'stale', yours, theirs: before.unit.version, by: last?.by ?? '', at: last?.at ?? 0, what: last?.what ?? '' };
};
