import { createSelectSchema } from 'drizzle-zod';
import { z } from 'zod';
import {
  approvals,
  bags,
  benchRecords,
  certificates,
  findings,
  gaugings,
  guideTicks,
  honePasses,
  identities,
  makersLimits,
  marks,
  orders,
  parts,
  photos,
  readings,
  runs,
  signatures,
  sleevings,
  steps,
  stockMoves,
  timers,
  torques,
  treatments,
  underlays,
  units,
  verdicts,
} from '../tables';

/** Tables whose rows are a unit's own; every change to them is an event. Parents before children. */
export const TRACKED = {
  units,
  gaugings,
  readings,
  marks,
  verdicts,
  parts,
  steps,
  stockMoves,
  bags,
  timers,
  orders,
  identities,
  runs,
  signatures,
  certificates,
  photos,
  guideTicks,
  treatments,
  findings,
  honePasses,
  underlays,
  makersLimits,
  sleevings,
  approvals,
  benchRecords,
  torques,
} as const;
export type TrackedName = keyof typeof TRACKED;
export const TRACKED_NAMES = Object.keys(TRACKED) as readonly TrackedName[];
export type Row<T extends TrackedName> = (typeof TRACKED)[T]['$inferSelect'];

const change = <T extends TrackedName>(table: T) => {
  const row = createSelectSchema(TRACKED[table]).nullable();
  return z.strictObject({ table: z.literal(table), id: z.string(), before: row, after: row });
};

/** One row as it was and as it became; null where there was none. */
const ChangeDoor = z.discriminatedUnion('table', [
  change('units'),
  change('gaugings'),
  change('readings'),
  change('marks'),
  change('verdicts'),
  change('parts'),
  change('steps'),
  change('stockMoves'),
  change('bags'),
  change('orders'),
  change('identities'),
  change('timers'),
  change('runs'),
  change('signatures'),
  change('certificates'),
  change('photos'),
  change('guideTicks'),
  change('treatments'),
  change('findings'),
  change('honePasses'),
  change('underlays'),
  change('makersLimits'),
  change('sleevings'),
  change('approvals'),
  change('benchRecords'),
  change('torques'),
]);

export const EventPayload = z.strictObject({ version: z.literal(1), changes: z.array(ChangeDoor) });
export type EventPayload = z.output<typeof EventPayload>;

/** What is to be done to one row. */
export type Edit =
  | { [T in TrackedName]: { readonly table: T; readonly put: Row<T> } }[TrackedName]
  | { readonly table: TrackedName; readonly drop: string };

export const put = <T extends TrackedName>(table: T, row: Row<T>): Edit => ({ table, put: row }) as Edit;
export const drop = (table: TrackedName, id: string): Edit => ({ table, drop: id });
