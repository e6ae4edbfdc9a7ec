import type { UnitRecord } from '@/core/unit/unit-record';
import type { Edit, Row, TrackedName } from './event-payload';
import { toBench, toIdentity, toMark, toPart, toPass, toRun, toSetAside, toStep, toTick, toUnderlay, toUnit, toVerdict } from './load-unit';

/** Tables whose rows bring others with them: after a change to these the unit is read again. */
const NEEDS_READING: readonly TrackedName[] = ['gaugings', 'readings'];

/** The unit as edits leave it, without asking the database; undefined where only that can tell. */
export const recordAfter = (r: UnitRecord, edits: readonly Edit[]): UnitRecord | undefined => {
  if (edits.some((e) => NEEDS_READING.includes(e.table))) return undefined;
  const unit = rowsOf('units', edits).at(-1);
  return {
    ...r,
    unit: unit === undefined ? r.unit : toUnit(unit),
    tray: patched(r.tray, 'parts', edits, toPart),
    marks: patched(r.marks, 'marks', edits, toMark),
    verdicts: patched(r.verdicts, 'verdicts', edits, toVerdict),
    steps: patched(r.steps, 'steps', edits, toStep),
    setAside: patched(r.setAside, 'bags', edits, toSetAside),
    identity: patched(r.identity === null ? [] : [r.identity], 'identities', edits, toIdentity).at(-1) ?? null,
    timers: patched(r.timers, 'timers', edits, ({ rungAt: _, ...timer }) => timer),
    runs: patched(r.runs, 'runs', edits, toRun),
    signatures: patched(r.signatures, 'signatures', edits, (row) => row),
    photos: patched(r.photos, 'photos', edits, (row) => row),
    ticks: patched(r.ticks, 'guideTicks', edits, toTick),
    treatments: patched(r.treatments, 'treatments', edits, (row) => row),
    passes: patched(r.passes, 'honePasses', edits, toPass),
    underlay: patched(r.underlay === null ? [] : [r.underlay], 'underlays', edits, toUnderlay).at(-1) ?? null,
    sleevings: patched(r.sleevings, 'sleevings', edits, (row) => row),
    approvals: patched(r.approvals, 'approvals', edits, (row) => row),
    bench: patched(r.bench, 'benchRecords', edits, toBench),
    findings: patched(r.findings, 'findings', edits, (row) => row),
  };
};

const rowsOf = <T extends TrackedName>(table: T, edits: readonly Edit[]): readonly Row<T>[] =>
  edits.flatMap((e) => (e.table === table && 'put' in e ? [e.put as Row<T>] : []));

const patched = <T extends TrackedName, P extends { readonly id: string }>(
  list: readonly P[],
  table: T,
  edits: readonly Edit[],
  to: (row: Row<T>) => P,
): readonly P[] => {
  const puts = new Map(rowsOf(table, edits).map((row) => [row.id, to(row)]));
  const drops = new Set(edits.flatMap((e) => (e.table === table && 'drop' in e ? [e.drop] : [])));
  const known = new Set(list.map((p) => p.id));
  return [...list.filter((p) => !drops.has(p.id)).map((p) => puts.get(p.id) ?? p), ...[...puts.values()].filter((p) => !known.has(p.id))];
};
