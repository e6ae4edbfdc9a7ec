import type { Row, TrackedName } from '../records/registry';

/** What is to be done to one row. */
export type Edit =
  | { [T in TrackedName]: { readonly table: T; readonly put: Row<T> } }[TrackedName]
  | { readonly table: TrackedName; readonly drop: string };

export const put = <T extends TrackedName>(table: T, row: Row<T>): Edit => ({ table, put: row }) as Edit;
export const drop = (table: TrackedName, id: string): Edit => ({ table, drop: id });
