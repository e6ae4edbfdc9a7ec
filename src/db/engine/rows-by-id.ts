import { inArray } from 'drizzle-orm';
import { type Row, TRACKED, type TrackedName } from '../records/registry';
import type { Tx } from './connection';

/** Rows of one table as they are now, by id. */
export const rowsById = async <T extends TrackedName>(tx: Tx, name: T, ids: readonly string[]): Promise<ReadonlyMap<string, Row<T>>> => {
  const table = TRACKED[name] as (typeof TRACKED)[TrackedName];
  const rows = await tx
    .select()
    .from(table)
    .where(inArray(table.id, [...ids]));
  return new Map(rows.map((r) => [r.id, r as Row<T>]));
};
