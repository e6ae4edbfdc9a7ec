import { type AnyColumn, getTableColumns } from 'drizzle-orm';
import { createSelectSchema } from 'drizzle-zod';
import { z } from 'zod';
import { type Row, TRACKED, TRACKED_NAMES, type TrackedName } from '../records/registry';

type Values = Readonly<Record<string, unknown>>;

/**
 * What an event did to one row. What the row is now stands in its table; the event holds what it was, so that a unit's history can be gone
 * back along step by step: nothing for a row that was added, the columns that changed, the whole of one that was dropped.
 */
export type RowChange =
  | { readonly table: TrackedName; readonly id: string; readonly how: 'added' }
  | { readonly table: TrackedName; readonly id: string; readonly how: 'changed' | 'dropped'; readonly was: Values };
export type EventPayload = { readonly version: 2; readonly changes: readonly RowChange[] };

const Table = z.enum(TRACKED_NAMES as [TrackedName, ...TrackedName[]]);
const Was = z.record(z.string(), z.unknown());
const Newest = z.looseObject({
  version: z.literal(2),
  changes: z.array(
    z.discriminatedUnion('how', [
      z.looseObject({ table: Table, id: z.string(), how: z.literal('added') }),
      z.looseObject({ table: Table, id: z.string(), how: z.enum(['changed', 'dropped']), was: Was }),
    ]),
  ),
});
/** Until migration 0001: every row whole, as it was and as it became. */
const First = z.looseObject({
  version: z.literal(1),
  changes: z.array(z.looseObject({ table: Table, id: z.string(), before: Was.nullable(), after: Was.nullable() })),
});
const Stored = z.discriminatedUnion('version', [First, Newest]);

/** What an event says that it did, whichever version wrote it. @throws when the database holds something else */
export const changesIn = (payload: unknown): readonly RowChange[] => {
  const event = Stored.parse(payload);
  if (event.version === 2) return event.changes;
  return event.changes.map(({ table, id, before, after }): RowChange => {
    const was = before === null ? null : broughtForward(table, before);
    return was === null ? { table, id, how: 'added' } : { table, id, how: after === null ? 'dropped' : 'changed', was };
  });
};

/** A row of version 1 in the columns of today. */
const broughtForward = (table: TrackedName, row: Values): Values => {
  if (table !== 'parts' || !('inAt' in row)) return row;
  const { inAt, fastened, goesIn, ...part } = row;
  return {
    ...part,
    goesIn: goesIn == null ? null : { ...(goesIn as object), at: inAt ?? 0, fastened: fastened ?? null, ...fromBefore(goesIn) },
  };
};
const fromBefore = (goesIn: unknown) => ((goesIn as { piece?: unknown })?.piece === 'new' ? { from: null } : {});

/** What a change did to a row, told by what it was before and is after. Nothing when nothing of it changed. */
export const rowChange = (table: TrackedName, id: string, before: Values | undefined, after: Values | undefined): readonly RowChange[] => {
  if (before === undefined) return after === undefined ? [] : [{ table, id, how: 'added' }];
  if (after === undefined) return [{ table, id, how: 'dropped', was: before }];
  const was = Object.fromEntries(Object.entries(before).filter(([name, value]) => !same(value, after[name])));
  return Object.keys(was).length === 0 ? [] : [{ table, id, how: 'changed', was }];
};
const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

const READERS = new Map<TrackedName, z.ZodObject>();
const readerOf = (table: TrackedName): z.ZodObject => {
  const reader = READERS.get(table) ?? (createSelectSchema(TRACKED[table]).partial() as unknown as z.ZodObject);
  READERS.set(table, reader);
  return reader;
};

/**
 * A row as it was: what the event knows of it laid over what it is now, or over the standard values of its columns where it is gone.
 * Columns that came after the event keep what they are; those that are gone since are passed over.
 * @throws when a value is none that its column can hold
 */
export const rowAsItWas = <T extends TrackedName>(table: T, was: Values, now: Values | undefined): Row<T> => {
  const standard = Object.fromEntries(Object.entries(getTableColumns(TRACKED[table])).map(([name, c]) => [name, standardOf(c)]));
  return { ...standard, ...now, ...readerOf(table).parse(was) } as Row<T>;
};
const standardOf = (column: AnyColumn): unknown => (column.hasDefault ? column.default : null);
