import { capital } from '@/core/capital';
import { may } from '@/core/people/role';
import { ok, type Result } from '@/core/result';
import { reopenedBy, whyNotNow } from '@/core/route/route';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import { STATIONS, type Station } from '@/core/station';
import { type Bore, boresOf, withBores } from '@/core/unit/bores';
import { currentVerdict, factsOf, routeOfUnit } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { drop, type Edit, put } from '../engine/edit';

export type SignOff = {
  readonly station: Station;
  readonly note: string;
  /** A lead's reason to pass over conditions that are not met. */
  readonly override: string | null;
};

/** Signs a station off: refused with every reason while conditions are unmet, unless a lead overrides them with a reason of their own. */
export const signOff = (db: Db, change: Change, s: SignOff): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const uncut = s.station === 'hone' ? boresOf(record).filter((b) => currentVerdict(b.record)?.answer.outcome === 'hone') : [];
    if (uncut.length > 0) return refused(...uncut.map((b) => `${capital(b.name)} is to be honed: it is gauged again once it is cut.`));
    const edits = signOffEdits(record, { ...change, at }, s);
    return edits.ok ? ok([edits.value]) : edits;
  });

/** The sign-off as an edit, for stations whose own save completes them. */
export const signOffEdits = (record: UnitRecord, change: Change, s: SignOff): Result<Edit, ChangeError> => {
  const notNow = whyNotNow(s.station, routeOfUnit(record));
  if (notNow.length > 0) return refused(...notNow);
  const unmet = whyNotDone(s.station, factsOf(record)).map(sayWhyNot);
  if (unmet.length > 0 && s.override === null) return refused(...unmet);
  if (unmet.length > 0 && !may(change.person.role, 'override')) return refused('Only a lead may override a condition.');
  const override = unmet.length > 0 ? s.override : null;
  return ok(
    put('steps', {
      id: `${record.unit.id}-${s.station}`,
      unitId: record.unit.id,
      station: s.station,
      at: change.at,
      personId: change.person.id,
      note: s.note,
      override,
      unmet,
    }),
  );
};

/** Bores were cut: Hone is signed off, and gauging and judging them is asked for again. Of several it is those that a pass was logged in. */
export const boreCut = (db: Db, change: Change, note: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const done = signOffEdits(record, { ...change, at }, { station: 'hone', note, override: null });
    return done.ok
      ? ok([done.value, ...boreChangedEdits(record, 'hone', new Map(cutBores(record).map((b) => [b.pot, { boreChangedAt: at }])))])
      : done;
  });

/** What follows from bores that are others now: they are gauged and judged again. @param changed by pot */
export const boreChangedEdits = (record: UnitRecord, by: 'hone' | 'sleeve', changed: Parameters<typeof withBores>[1]): readonly Edit[] => [
  ...reopenedBy(by).map((s) => drop('steps', `${record.unit.id}-${s}`)),
  // A new sleeve starts clean: the marks and the photo under them were in the metal that is gone.
  ...(by === 'sleeve' ? record.marks.filter((m) => changed.has(m.pot)).map((m) => drop('marks', m.id)) : []),
  ...(by === 'sleeve' ? record.underlays.filter((u) => changed.has(u.pot)).map((u) => drop('underlays', u.id)) : []),
  put('units', withBores(record.unit, changed)),
];

/** Bores that were cut since they were judged: the only one, or of several those that somebody logged a pass in; failing that, those that were to be. */
const cutBores = (record: UnitRecord): readonly Bore[] => {
  const bores = boresOf(record);
  const asked = bores.filter((b) => ['hone', 'polish'].includes(currentVerdict(b.record)?.answer.outcome ?? ''));
  const cut = bores.filter((b) => b.record.passes.some((p) => p.at >= b.record.unit.boreChangedAt));
  return bores.length === 1 ? bores : cut.length > 0 ? cut : asked;
};

/**
 * A lead opens a station again: its sign-off and all later ones fall, signatures too, and before close-up the parts come out again.
 * A unit that had left comes back; that may be to the station it left from.
 */
export const reopen = (db: Db, change: Change, station: Station): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record) => reopenEdits(record, station));

export const reopenEdits = (record: UnitRecord, station: Station): Result<readonly Edit[], ChangeError> => {
  const leftFrom = record.unit.exit !== null && record.unit.station === station;
  if (!leftFrom && !record.steps.some((s) => s.station === station)) return refused('That station is not signed off.');
  const apart = STATIONS.indexOf(station) < STATIONS.indexOf('close-up');
  const fallen = STATIONS.slice(STATIONS.indexOf(station)).map((s) => drop('steps', `${record.unit.id}-${s}`));
  return ok([
    ...fallen,
    ...record.tray.flatMap((p) => (apart && p.goesIn !== null ? [put('parts', { ...p, goesIn: null, unitId: record.unit.id })] : [])),
    ...record.signatures.map((s) => drop('signatures', s.id)),
    put('units', { ...record.unit, exit: null, exitAt: null }),
  ]);
};

/** The unit leaves without being released. */
export const leave = (db: Db, change: Change, exit: 'scrapped' | 'returned'): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => ok([put('units', { ...record.unit, exit, exitAt: at })]));
