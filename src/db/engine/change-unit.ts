import { and, asc, eq, getTableColumns, gt, inArray, sql } from 'drizzle-orm';
import { sayAskedSkill } from '@/core/people/asked-skill';
import type { Person } from '@/core/people/role';
import { fail, ok, type Result } from '@/core/result';
import { AFTER_LEAVING, BENCH_WORK, type EventKind, ON_ITS_WAY } from '@/core/unit/event-kind';
import { summaryOf } from '@/core/unit/facts-of';
import type { SaveError, Stale } from '@/core/unit/save-error';
import { lessonsOf } from '@/core/unit/teaches';
import type { Unit, UnitRecord } from '@/core/unit/unit-record';
import { type Row, TRACKED, TRACKED_NAMES, type TrackedName } from '../records/registry';
import { toUnit } from '../records/work';
import { people, unitEvents, units } from '../tables';
import { type CachedUnit, isStill, keep, lastKnown, sharedStamp } from './cached-units';
import { tellChange } from './changes';
import type { Db, Tx } from './connection';
import type { Edit } from './edit';
import { changesIn, type EventPayload, type RowChange, rowChange } from './event-payload';
import { loadUnit } from './load-unit';
import { NUMBER_TAKEN } from './number-taken';
import { recordAfter } from './record-after';
import { rowsById } from './rows-by-id';
import { heldUpAt } from './skill-gate';
import { moveTallies } from './tally';
import { whatChanged } from './what-changed';

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

/** Gives the edits from the unit as it is inside the transaction and the time of the change, or refuses. */
export type Decide = (
  unit: UnitRecord,
  at: number,
  tx: Tx,
) => Result<readonly Edit[], ChangeError> | Promise<Result<readonly Edit[], ChangeError>>;
/** Another unit that changes with the first: both, or neither. */
export type WithIt = { readonly change: Change; readonly decide: Decide };

/**
 * The one way to change a unit: its rows, its summary, its version and its event go in one transaction.
 * A unit's times only go forward, also when the machine's clock was set back: what comes later in its history is later.
 * @param withIt other units that change in the same transaction, once this one has; one of them that is refused stops them all
 */
export async function changeUnit(
  db: Db,
  change: Change,
  decide: Decide,
  withIt: (tx: Tx) => Promise<readonly WithIt[]> = async () => [],
): Promise<Result<Changed, ChangeError>> {
  // Read ahead of the turn, so that the transaction is short; inside it the version tells whether this still holds.
  const ahead = await lastKnown(db, change.unitId);
  const left: { readonly change: Change; readonly unit: CachedUnit }[] = [];
  const result = await db.transaction<Result<Changed, ChangeError>>(async (tx) => {
    const first = await changeInside(tx, change, ahead, decide);
    if (!first.ok) return first;
    if (first.value.how === 'repeated') return ok(first.value.changed);
    left.push({ change, unit: first.value.unit });
    for (const other of await withIt(tx)) {
      const next = await changeInside(tx, other.change, undefined, other.decide);
      if (!next.ok) throw new Error(`unit ${other.change.unitId} cannot change with ${change.unitId}: ${next.error.code}`);
      if (next.value.how === 'made') left.push({ change: other.change, unit: next.value.unit });
    }
    return ok({ unitId: change.unitId, version: first.value.unit.record.unit.version });
  });
  // Only what was committed is kept; whoever looks next need not read it again.
  if (result.ok)
    for (const { change: made, unit } of left) {
      keep(db, unit);
      const { id, name } = made.person;
      tellChange({ unitId: made.unitId, tagNo: unit.record.unit.tagNo, kind: made.kind, personId: id, by: name });
    }
  return result;
}

/** What a change came to: the unit as it left it, or the same change made before. */
type Made = { readonly how: 'made'; readonly unit: CachedUnit } | { readonly how: 'repeated'; readonly changed: Changed };

/** One unit changed inside a transaction. */
const changeInside = async (tx: Tx, change: Change, ahead: CachedUnit | undefined, decide: Decide): Promise<Result<Made, ChangeError>> => {
  const [[row], repeated, heldUp] = await Promise.all([
    tx.select({ version: units.version, changedAt: units.changedAt, shared: sharedStamp }).from(units).where(eq(units.id, change.unitId)),
    repeatOf(tx, change),
    heldUpAt(tx, { unitId: change.unitId, personId: change.person.id, work: BENCH_WORK[change.kind], at: change.at }),
  ]);
  if (repeated !== undefined) return repeated.ok ? ok({ how: 'repeated', changed: repeated.value }) : repeated;
  const before = isStill(ahead, row) ? ahead.record : await loadUnit(tx, change.unitId);
  if (row === undefined || before === undefined) return fail({ code: 'no-such-unit' });
  if (before.unit.exit !== null && !AFTER_LEAVING.includes(change.kind))
    return refused(`This unit has left the shop: ${before.unit.exit}.`);
  if (before.unit.goesTo !== null && !ON_ITS_WAY.includes(change.kind))
    return refused('It is on its way to another branch: it is received there first.');
  if (heldUp !== undefined) return refused(sayAskedSkill(heldUp));
  const clash = change.version === null ? undefined : await staleness(tx, change, change.version, row.version);
  if (clash !== undefined) return fail(clash);
  const at = Math.max(change.at, row.changedAt + 1);
  const edits = await decide(before, at, tx);
  if (!edits.ok) return edits;
  const others = edits.value.filter((e) => e.table !== 'units');
  const rows = await rowsBefore(tx, change.unitId, others);
  if (!rows.ok) return rows;
  const edited = edits.value.flatMap((e) => (e.table === 'units' && 'put' in e ? [toUnit(e.put)] : [])).at(-1);
  const wanted = edited ?? before.unit;
  const known = recordAfter(before, wanted, others);
  // Where only the database can tell what the change leaves, it is written before it is read; else all is written at once.
  if (known === undefined) await Promise.all(writesOf(tx, others));
  const after = known ?? (await readAfter(tx, before.unit, wanted));
  if (after === undefined) throw new Error(`unit ${change.unitId} vanished inside its change`);
  const version = row.version + 1;
  const unit = { ...wanted, ...summaryOf({ ...after, unit: wanted }), version, changedAt: at };
  await Promise.all([
    ...(known === undefined ? [] : writesOf(tx, others)),
    moveTallies(tx, lessonsOf(before), lessonsOf({ ...after, unit }), at),
    tx.update(units).set(changedFields(before.unit, unit)).where(eq(units.id, change.unitId)),
    appendEvent(tx, { ...change, at }, version, [...changesOf(others, rows.value), ...unitChange(before.unit, unit)]),
  ]);
  return ok({ how: 'made', unit: { record: { ...after, unit }, shared: row.shared } });
};

/** The unit read again with what it is read with: its row is written first. */
const readAfter = async (tx: Tx, was: Unit, is: Unit): Promise<UnitRecord | undefined> => {
  const changed = changedFields(was, is);
  if (Object.keys(changed).length > 0) await tx.update(units).set(changed).where(eq(units.id, is.id));
  return loadUnit(tx, is.id);
};

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

/** Rows as they were before edits, by table and id. */
type Before = ReadonlyMap<TrackedName, ReadonlyMap<string, Row<TrackedName>>>;

/** Writes rows of a new unit. @returns what that did to each; refused as `rowsBefore` refuses */
export async function applyEdits(tx: Tx, unitId: string, edits: readonly Edit[]): Promise<Result<readonly RowChange[], ChangeError>> {
  const before = await rowsBefore(tx, unitId, edits);
  if (!before.ok) return before;
  await Promise.all(writesOf(tx, edits));
  return ok(changesOf(edits, before.value));
}

/** The rows that edits are of. One that is another unit's, or nobody's (an order of the store), is refused; what units share is theirs. */
const rowsBefore = async (tx: Tx, unitId: string, edits: readonly Edit[]): Promise<Result<Before, ChangeError>> => {
  const found = await Promise.all(
    TRACKED_NAMES.flatMap((name) => {
      const ids = edits.flatMap((e) => (e.table === name ? ['put' in e ? e.put.id : e.drop] : []));
      return ids.length === 0 ? [] : [rowsById(tx, name, ids).then((rows) => [name, rows] as const)];
    }),
  );
  const isOthers = (name: TrackedName, row: Row<TrackedName>): boolean => 'unitId' in row && row.unitId !== unitId && !isShared(name, row);
  return found.some(([name, rows]) => [...rows.values()].some((row) => isOthers(name, row)))
    ? refused('That belongs to another unit.')
    : ok(new Map(found));
};

const putsOf = (edits: readonly Edit[], name: TrackedName): readonly Row<TrackedName>[] =>
  edits.flatMap((e) => (e.table === name && 'put' in e ? [e.put] : []));
const dropsOf = (edits: readonly Edit[], name: TrackedName): readonly string[] =>
  edits.flatMap((e) => (e.table === name && 'drop' in e ? [e.drop] : []));

/** The statements of edits, in the order in which they must be done: parents are put before children, and dropped after them. */
const writesOf = (tx: Tx, edits: readonly Edit[]): readonly PromiseLike<unknown>[] => [
  ...TRACKED_NAMES.flatMap((name) => {
    const rows = putsOf(edits, name);
    return rows.length === 0 ? [] : [upsert(tx, name, rows)];
  }),
  ...[...TRACKED_NAMES].reverse().flatMap((name) => {
    const ids = dropsOf(edits, name);
    return ids.length === 0 ? [] : [tx.delete(TRACKED[name]).where(inArray(TRACKED[name].id, [...ids]))];
  }),
];

/** What edits do to each row. */
const changesOf = (edits: readonly Edit[], before: Before): readonly RowChange[] => [
  ...TRACKED_NAMES.flatMap((name) => putsOf(edits, name).flatMap((row) => rowChange(name, row.id, before.get(name)?.get(row.id), row))),
  ...[...TRACKED_NAMES]
    .reverse()
    .flatMap((name) => dropsOf(edits, name).flatMap((id) => rowChange(name, id, before.get(name)?.get(id), undefined))),
];

/** A maker's limit of a fitment belongs to all its units, and what was left over of a bag to the shelf and to the step that kept it. */
const isShared = (table: TrackedName, row: Row<TrackedName>): boolean =>
  'unitId' in row && row.unitId === null && (table === 'makersLimits' || ('reason' in row && row.reason === 'kept'));

const upsert = (tx: Tx, name: TrackedName, rows: readonly Row<TrackedName>[]): PromiseLike<unknown> => {
  const table = TRACKED[name];
  const set = Object.fromEntries(
    Object.keys(getTableColumns(table))
      .filter((c) => c !== 'id')
      .map((c) => [c, sql.raw(`excluded.${snake(c)}`)]),
  );
  // Rows of one table: the union of row types does not narrow by itself.
  return tx
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
  const changes = await whatChanged(
    tx,
    rows.map((r) => changesIn(r.payload)),
  );
  const since = rows.map(({ by, at, kind, note }, i) => ({ by, at, what: kind as EventKind, note, changes: changes[i] ?? [] }));
  return { code: 'stale', yours: { version: yours, what: change.kind }, theirs: { version: theirs, since } };
};
