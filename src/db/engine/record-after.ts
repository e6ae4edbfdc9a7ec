import type { UnitRecord } from '@/core/unit/unit-record';
import type { Edit, Row, TrackedName } from './event-payload';
import {
  begunBy,
  toBench,
  toIdentity,
  toMark,
  toPart,
  toPass,
  toRun,
  toSetAside,
  toStep,
  toTick,
  toUnderlay,
  toUnit,
  toVerdict,
} from './load-unit';

/** Tables whose rows bring others with them: after a change to these the unit is read again. */
const NEEDS_READING: readonly TrackedName[] = ['gaugings', 'readings'];

/** The unit as edits leave it, row for row as the database would give it, without asking; undefined where only the database can tell. */
export const recordAfter = (r: UnitRecord, edits: readonly Edit[]): UnitRecord | undefined => {
  if (edits.some((e) => NEEDS_READING.includes(e.table))) return undefined;
  const unit = rowsOf('units', edits).at(-1);
  if (unit !== undefined && unit.variantId !== r.unit.variantId) return undefined;
  const at = (x: { readonly at: number }): number => x.at;
  const started = (x: { readonly startedAt: number }): number => x.startedAt;
  const after = {
    ...r,
    unit: unit === undefined ? r.unit : toUnit(unit),
    tray: patched(r.tray, 'parts', edits, toPart, (p) => p.seq),
    marks: patched(r.marks, 'marks', edits, toMark, (m) => m.name),
    verdicts: patched(r.verdicts, 'verdicts', edits, toVerdict, at),
    steps: patched(r.steps, 'steps', edits, toStep, at),
    setAside: patched(r.setAside, 'bags', edits, toSetAside, at),
    identity: patched(r.identity === null ? [] : [r.identity], 'identities', edits, toIdentity, at).at(-1) ?? null,
    timers: patched(r.timers, 'timers', edits, ({ rungAt: _, ...timer }) => timer, started),
    runs: patched(r.runs, 'runs', edits, toRun, started),
    signatures: patched(r.signatures, 'signatures', edits, (row) => row, at),
    photos: patched(r.photos, 'photos', edits, (row) => row, at),
    ticks: patched(r.ticks, 'guideTicks', edits, toTick, at),
    treatments: patched(r.treatments, 'treatments', edits, (row) => row, at),
    passes: patched(r.passes, 'honePasses', edits, toPass, at),
    underlay: patched(r.underlay === null ? [] : [r.underlay], 'underlays', edits, toUnderlay, () => 0).at(-1) ?? null,
    sleevings: patched(
      r.sleevings,
      'sleevings',
      edits,
      (row) => row,
      (s) => s.sentAt,
    ),
    approvals: patched(r.approvals, 'approvals', edits, (row) => row, at),
    bench: patched(r.bench, 'benchRecords', edits, toBench, at),
    findings: patched(r.findings, 'findings', edits, (row) => row, at),
  };
  // Which programme it is proved by may follow from what was begun, and is then not in these rows.
  return begunBy(after) === begunBy(r) ? after : undefined;
};

const rowsOf = <T extends TrackedName>(table: T, edits: readonly Edit[]): readonly Row<T>[] =>
  edits.flatMap((e) => (e.table === table && 'put' in e ? [e.put as Row<T>] : []));

const patched = <T extends TrackedName, P extends { readonly id: string }>(
  list: readonly P[],
  table: T,
  edits: readonly Edit[],
  to: (row: Row<T>) => P,
  /** What the database orders them by. */
  by: (p: P) => number | string,
): readonly P[] => {
  const puts = new Map(rowsOf(table, edits).map((row) => [row.id, to(row)]));
  const drops = new Set(edits.flatMap((e) => (e.table === table && 'drop' in e ? [e.drop] : [])));
  if (puts.size === 0 && drops.size === 0) return list;
  const known = new Set(list.map((p) => p.id));
  const all = [
    ...list.filter((p) => !drops.has(p.id)).map((p) => puts.get(p.id) ?? p),
    ...[...puts.values()].filter((p) => !known.has(p.id)),
  ];
  return all.toSorted((a, b) => (by(a) < by(b) ? -1 : by(a) > by(b) ? 1 : 0));
};
