import { and, asc, eq, getTableColumns, gt, inArray, sql } from 'drizzle-orm';
import type { Person } from '@/core/people/role';
import { fail, ok, type Result } from '@/core/result';
import { AFTER_LEAVING, type EventKind } from '@/core/unit/event-kind';
import { summaryOf } from '@/core/unit/facts-of';
import type { SaveError, Stale } from '@/core/unit/save-error';
import { lessonsOf } from '@/core/unit/teaches';
import type { Unit, UnitRecord } from '@/core/unit/unit-record';
import { type Row, TRACKED, TRACKED_NAMES, type TrackedName } from '../records/registry';
import { toUnit } from '../records/work';
import { people, unitEvents, units } from '../tables';
import type { Db, Tx } from './connection';
import type { Edit } from './edit';
import { changesIn, type EventPayload, type RowChange, rowChange } from './event-payload';
import { isStill, type KeptUnit, keep, lastKnown, programmesSaved } from './kept-units';
import { loadUnit } from './load-unit';
import { NUMBER_TAKEN } from './number-taken';
import { recordAfter } from './record-after';
import { moveTallies } from './tally';

/** Who changes which unit, and what it is called. The client makes `eventId`: a retry with the same one, by the same person and saying the same, applies once. */
export type Change = {
  readonly eventId: string;
  readonly unitId: string;
  readonly person: Person;
  readonly at: number;
  /** The version the person was looking at; null for changes that only add and cannot clash. */
  readonly version: number | null;
  /** Rows that the change rests on: what others did beside these does not clash with it. Absent: all of the unit. */
  readonly restsOn?: readonly string[];
  readonly kind: EventKind;
  readonly note: string;
  /** Of what was sent with it: a change of the same number that says something else is another. Empty where nobody sent it. */
  readonly digest: string;
};

export type ChangeError = Extract<SaveError, { readonly code: 'no-such-unit' | 'stale' | 'refused' }>;

export type Changed = { readonly unitId: string; readonly version: number };

export const refused = (...reasons: readonly string[]) => fail({ code: 'refused' as const, reasons });

/**
 * The one way to change a unit: its rows, its summary, its version and its event go in one transaction.
 * A unit's times only go forward, also when the machine's clock was set back: what comes later in its history is later.
 * @param decide gives the edits from the unit as it is inside the transaction and the time of the change, or refuses
 */
export async function changeUnit(
  db: Db,
  change: Change,
  decide: (unit: UnitRecord, at: number, tx: Tx) => Result<readonly Edit[], ChangeError> | Promise<Result<readonly Edit[], ChangeError>>,
): Promise<Result<Changed, ChangeError>> {
  // Read ahead of the turn, so that the transaction is short; inside it the version tells whether this still holds.
  const ahead = await lastKnown(db, change.unitId);
  let left: KeptUnit | undefined;
  const result = await db.transaction<Result<Changed, ChangeError>>(async (tx) => {
    const [row] = await tx
      .select({
        version: units.version,
        changedAt: units.changedAt,
        programmes: programmesSaved,
      })
      .from(units)
      .where(eq(units.id, change.unitId));
    const repeated = await repeatOf(tx, change);
    if (repeated !== undefined) return repeated;
    const before = isStill(ahead, row) ? ahead.record : await loadUnit(tx, change.unitId);
    if (row === undefined || before === undefined) return fail({ code: 'no-such-unit' });
    if (before.unit.exit !== null && !AFTER_LEAVING.includes(change.kind))
      return refused(`This unit has left the shop: ${before.unit.exit}.`);
    const clash = change.version === null ? undefined : await staleness(tx, change, change.version, row.version);
    if (clash !== undefined) return fail(clash);
    const at = Math.max(change.at, row.changedAt + 1);
    const edits = await decide(before, at, tx);
    if (!edits.ok) return edits;
    const others = edits.value.filter((e) => e.table !== 'units');
    const applied = await applyEdits(tx, change.unitId, others);
    if (!applied.ok) return applied;
    const edited = edits.value.flatMap((e) => (e.table === 'units' && 'put' in e ? [toUnit(e.put)] : [])).at(-1);
    const wanted = edited ?? before.unit;
    const after = recordAfter({ ...before, unit: wanted }, others) ?? (await loadUnit(tx, change.unitId));
    if (after === undefined) throw new Error(`unit ${change.unitId} vanished inside its change`);
    const version = row.version + 1;
    const unit = { ...wanted, ...summaryOf({ ...after, unit: wanted }), version, changedAt: at };
    await moveTallies(tx, lessonsOf(before), lessonsOf({ ...after, unit }), at);
    await tx.update(units).set(changedFields(before.unit, unit)).where(eq(units.id, change.unitId));
    await appendEvent(tx, { ...change, at }, version, [...applied.value, ...unitChange(before.unit, unit)]);
    left = { record: { ...after, unit }, programmes: row.programmes };
    return ok({ unitId: change.unitId, version });
  });
  // Only what was committed is kept; whoever looks next need not read it again.
  if (result.ok && left !== undefined) keep(db, left);
  return result;
}

/** What of the unit itself changed; its version and time are the event's own. */
const unitChange = (before: Unit, after: Unit): readonly RowChange[] =>
  rowChange('units', after.id, before, { ...after, version: before.version, changedAt: before.changedAt });

const changedFields = (before: Unit, after: Unit): Partial<Unit> =>
  Object.fromEntries(Object.entries(after).filter(([name, value]) => before[name as keyof Unit] !== value));

/** What a change of this number already came to: the same change sent again, or another that took its number; undefined where it is new. */
const repeatOf = async (tx: Tx, change: Change): Promise<Result<Changed, ChangeError> | undefined> => {
  const [event] = await tx.select().from(unitEvents).where(eq(unitEvents.id, change.eventId));
  if (event === undefined) return undefined;
  const same =
    event.unitId === change.unitId &&
    event.personId === change.person.id &&
    event.kind === change.kind &&
    (event.digest === null || event.digest === change.digest);
  return same ? ok({ unitId: change.unitId, version: event.version }) : refused(NUMBER_TAKEN);
};

/**
 * Writes rows of a unit and says what that did to each. Parents are put before children, and dropped after them.
 * A row that is another unit's, or nobody's (an order of the store), is not touched, and nothing is written; what units share is theirs.
 */
export async function applyEdits(tx: Tx, unitId: string, edits: readonly Edit[]): Promise<Result<readonly RowChange[], ChangeError>> {
  const before = new Map<TrackedName, ReadonlyMap<string, Row<TrackedName>>>();
  for (const name of TRACKED_NAMES) {
    const ids = edits.flatMap((e) => (e.table === name ? ['put' in e ? e.put.id : e.drop] : []));
    if (ids.length === 0) continue;
    const rows = await rowsById(tx, name, ids);
    if ([...rows.values()].some((row) => 'unitId' in row && row.unitId !== unitId && !isShared(name, row)))
      return refused('That belongs to another unit.');
    before.set(name, rows);
  }
  const changes: RowChange[] = [];
  for (const name of TRACKED_NAMES) {
    const rows = edits.flatMap((e) => (e.table === name && 'put' in e ? [e.put] : []));
    if (rows.length === 0) continue;
    await upsert(tx, name, rows);
    for (const row of rows) changes.push(...rowChange(name, row.id, before.get(name)?.get(row.id), row));
  }
  for (const name of [...TRACKED_NAMES].reverse()) {
    const ids = edits.flatMap((e) => (e.table === name && 'drop' in e ? [e.drop] : []));
    if (ids.length === 0) continue;
    await tx.delete(TRACKED[name]).where(inArray(TRACKED[name].id, ids));
    for (const id of ids) changes.push(...rowChange(name, id, before.get(name)?.get(id), undefined));
  }
  return ok(changes);
}

/** A maker's limit of a fitment belongs to all its units, and what was left over of a bag to the shelf and to the step that kept it. */
const isShared = (table: TrackedName, row: Row<TrackedName>): boolean =>
  'unitId' in row && row.unitId === null && (table === 'makersLimits' || ('reason' in row && row.reason === 'kept'));

/** Rows of one table as they are now, by id. */
export const rowsById = async <T extends TrackedName>(tx: Tx, name: T, ids: readonly string[]): Promise<ReadonlyMap<string, Row<T>>> => {
  const table = TRACKED[name] as (typeof TRACKED)[TrackedName];
  const rows = await tx
    .select()
    .from(table)
    .where(inArray(table.id, [...ids]));
  return new Map(rows.map((r) => [r.id, r as Row<T>]));
};

const upsert = async (tx: Tx, name: TrackedName, rows: readonly Row<TrackedName>[]): Promise<void> => {
  const table = TRACKED[name];
  const set = Object.fromEntries(
    Object.keys(getTableColumns(table))
      .filter((c) => c !== 'id')
      .map((c) => [c, sql.raw(`excluded.${snake(c)}`)]),
  );
  // Rows of one table: the union of row types does not narrow by itself.
  await tx
    .insert(table)
    .values(rows as never)
    .onConflictDoUpdate({ target: table.id, set });
};

const snake = (name: string): string => name.replace(/([a-z0-9])([A-Z])/g, '$1_$2').toLowerCase();

export async function appendEvent(tx: Tx, change: Omit<Change, 'version'>, version: number, changes: readonly RowChange[]): Promise<void> {
  const payload: EventPayload = { version: 2, changes };
  await tx.insert(unitEvents).values({
    id: change.eventId,
    unitId: change.unitId,
    version,
    at: change.at,
    personId: change.person.id,
    kind: change.kind,
    note: change.note,
    digest: change.digest,
    payload,
  });
}

/** The clash of a change with what was done since its person looked; undefined when it rests on none of that. */
const staleness = async (tx: Tx, change: Change, yours: number, theirs: number): Promise<Stale | undefined> => {
  if (yours === theirs) return undefined;
  const rows = await tx
    .select({ by: people.name, at: unitEvents.at, kind: unitEvents.kind, note: unitEvents.note, payload: unitEvents.payload })
    .from(unitEvents)
    .innerJoin(people, eq(unitEvents.personId, people.id))
    .where(and(eq(unitEvents.unitId, change.unitId), gt(unitEvents.version, yours)))
    .orderBy(asc(unitEvents.version));
  const touched = new Set(rows.flatMap((r) => changesIn(r.payload).map((c) => c.id)));
  if (yours < theirs && change.restsOn !== undefined && !change.restsOn.some((id) => touched.has(id))) return undefined;
  const since = rows.map(({ by, at, kind, note }) => ({ by, at, what: kind as EventKind, note }));
  return { code: 'stale', yours: { version: yours, what: change.kind }, theirs: { version: theirs, since } };
};
