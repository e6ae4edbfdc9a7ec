import type { Unit, UnitRecord } from '@/core/unit/unit-record';
import { HANGING, type HangingField, type Row, type TrackedName } from '../records/registry';
import type { Edit } from './edit';
import { begunBy, hangingOf, listIn } from './load-unit';

/** Tables whose rows bring others with them: after a change to these the unit is read again. */
const NEEDS_READING: readonly TrackedName[] = Object.values(HANGING).flatMap((h) => (h.nested === undefined ? [] : [h.name, h.nested]));

/**
 * The unit as edits leave it, row for row as the database would give it, without asking; undefined where only the database can tell.
 * @param unit the unit itself, as they leave it
 * @param edits of what hangs on it
 */
export const recordAfter = (r: UnitRecord, unit: Unit, edits: readonly Edit[]): UnitRecord | undefined => {
  if (edits.some((e) => NEEDS_READING.includes(e.table)) || readWith(unit) !== readWith(r.unit)) return undefined;
  const after = { ...r, unit, ...hangingOf((field) => patched(r, field, edits)) };
  // Which programme it is proved by may follow from what was begun, and is then not in these rows.
  return begunBy(after) === begunBy(r) ? after : undefined;
};

/** What a unit says of the rows that are read with it: its job's, and its family as it has it. */
const readWith = ({ jobId, family, variantId, morePots }: Unit): string => JSON.stringify([jobId, family, variantId, morePots.length]);

const rowsOf = <T extends TrackedName>(table: T, edits: readonly Edit[]): readonly Row<T>[] =>
  edits.flatMap((e) => (e.table === table && 'put' in e ? [e.put as Row<T>] : []));

type Held = { readonly id: string };
const patched = (r: UnitRecord, field: HangingField, edits: readonly Edit[]): readonly unknown[] => {
  const { name, by, read } = HANGING[field];
  const list = listIn(r, field) as readonly Held[];
  const puts = new Map(rowsOf(name, edits).map((row) => [row.id, (read as (row: unknown) => Held)(row)]));
  const drops = new Set(edits.flatMap((e) => (e.table === name && 'drop' in e ? [e.drop] : [])));
  if (puts.size === 0 && drops.size === 0) return list;
  const known = new Set(list.map((p) => p.id));
  const all = [
    ...list.filter((p) => !drops.has(p.id)).map((p) => puts.get(p.id) ?? p),
    ...[...puts.values()].filter((p) => !known.has(p.id)),
  ];
  const key = (p: Held): number | string => (p as unknown as Readonly<Record<string, number | string>>)[by] as number | string;
  return all.toSorted((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0));
};
