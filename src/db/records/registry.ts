import type { UnitRecord } from '@/core/unit/unit-record';
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
  quotes,
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
import { toMark, toUnderlay, toVerdict } from './judge';
import { toIdentity, toSetAside } from './kit';
import { toQuote } from './quote';
import { toPart, toTick } from './strip';
import { toBench, toPass, toRun, toStep, toTimer } from './work';

type UnitTable =
  | typeof approvals
  | typeof bags
  | typeof benchRecords
  | typeof findings
  | typeof gaugings
  | typeof guideTicks
  | typeof honePasses
  | typeof identities
  | typeof marks
  | typeof parts
  | typeof photos
  | typeof quotes
  | typeof runs
  | typeof signatures
  | typeof sleevings
  | typeof steps
  | typeof timers
  | typeof treatments
  | typeof underlays
  | typeof verdicts;

/** What of a unit's record is made of rows that hang on it. */
type Hanging = Omit<UnitRecord, 'unit' | 'job' | 'family' | 'programme'>;
type Element<F extends keyof Hanging> = Hanging[F] extends readonly (infer P)[] ? P : NonNullable<Hanging[F]>;

/** One kind of row that hangs on a unit: its table and the name of that in the database's schema, its reader, and what it is ordered by. */
type Hung<N extends string, T extends UnitTable, P> = {
  readonly name: N;
  readonly table: T;
  readonly by: string & keyof T['$inferSelect'];
  readonly read: (row: T['$inferSelect']) => P;
  /** Left in the database until they are asked for. */
  readonly without?: readonly (string & keyof T['$inferSelect'])[];
  /** Rows that hang on this row in turn; the unit is read again when one changes. */
  readonly nested?: 'readings';
};
const hung = <const N extends string, T extends UnitTable, P>(
  name: N,
  table: T,
  by: string & keyof T['$inferSelect'],
  read: (row: T['$inferSelect']) => P,
  more: Pick<Hung<N, T, P>, 'without' | 'nested'> = {},
): Hung<N, T, P> => ({ name, table, by, read, ...more });
const asItIs = <R extends { readonly unitId: string }>({ unitId: _, ...row }: R): Omit<R, 'unitId'> => row;

/**
 * Everything that hangs on a unit and is part of its record, parents before children. A new kind of record is one entry here and its
 * reader: loading, relations, tracked changes, undo, and what a change leaves follow from it. Of `identity` the newest counts.
 */
export const HANGING = {
  gaugings: hung('gaugings', gaugings, 'at', (row): Element<'gaugings'> => asItIs(row) as Element<'gaugings'>, { nested: 'readings' }),
  marks: hung('marks', marks, 'name', toMark),
  verdicts: hung('verdicts', verdicts, 'at', toVerdict),
  tray: hung('parts', parts, 'seq', toPart),
  steps: hung('steps', steps, 'at', toStep),
  setAside: hung('bags', bags, 'at', toSetAside),
  identity: hung('identities', identities, 'at', toIdentity),
  timers: hung('timers', timers, 'startedAt', toTimer),
  runs: hung('runs', runs, 'startedAt', toRun, { without: ['samples', 'analysis'] }),
  signatures: hung('signatures', signatures, 'at', asItIs),
  photos: hung('photos', photos, 'at', asItIs),
  ticks: hung('guideTicks', guideTicks, 'at', toTick),
  treatments: hung('treatments', treatments, 'at', asItIs),
  findings: hung('findings', findings, 'at', asItIs),
  passes: hung('honePasses', honePasses, 'at', toPass),
  underlays: hung('underlays', underlays, 'id', toUnderlay),
  sleevings: hung('sleevings', sleevings, 'sentAt', asItIs),
  approvals: hung('approvals', approvals, 'at', asItIs),
  quotes: hung('quotes', quotes, 'at', toQuote),
  bench: hung('benchRecords', benchRecords, 'at', toBench),
} satisfies { readonly [F in keyof Hanging]: { readonly read: (row: never) => Element<F> } };
export type HangingField = keyof typeof HANGING;
export const HANGING_FIELDS = Object.keys(HANGING) as readonly HangingField[];

/** Tables whose changes are part of a unit's history though they are no part of its record. */
const BESIDE = { readings, stockMoves, orders, certificates, makersLimits, torques } as const;

type HungTables = { [F in HangingField as (typeof HANGING)[F]['name']]: (typeof HANGING)[F]['table'] };
/** Tables whose rows are a unit's own; every change to them is an event. Parents before children. */
export const TRACKED = {
  units,
  ...(Object.fromEntries(Object.values(HANGING).map((h) => [h.name, h.table])) as HungTables),
  ...BESIDE,
};
export type TrackedName = keyof typeof TRACKED;
export const TRACKED_NAMES = Object.keys(TRACKED) as readonly TrackedName[];
export type Row<T extends TrackedName> = (typeof TRACKED)[T]['$inferSelect'];
