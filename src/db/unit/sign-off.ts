import type { Material } from '@/core/family/material';
import { may } from '@/core/people/role';
import { ok, type Result } from '@/core/result';
import { reopenedBy, whyNotNow } from '@/core/route/route';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import { STATIONS, type Station } from '@/core/station';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
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

/** The bore was cut: Hone is signed off, and gauging and judging are asked for again. */
export const boreCut = (db: Db, change: Change, note: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const done = signOffEdits(record, { ...change, at }, { station: 'hone', note, override: null });
    return done.ok ? ok([done.value, ...boreChangedEdits(record, 'hone', at, record.unit.material)]) : done;
  });

/** What follows from a bore that is another now: it is gauged and judged again. */
export const boreChangedEdits = (record: UnitRecord, by: 'hone' | 'sleeve', at: number, material: Material): readonly Edit[] => [
  ...reopenedBy(by).map((s) => drop('steps', `${record.unit.id}-${s}`)),
  put('units', { ...record.unit, boreChangedAt: at, material }),
];

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
