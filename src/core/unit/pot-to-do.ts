import type { Station } from '../station';
import { boresOf } from './bores';
import { currentGauging, currentVerdict } from './facts-of';
import type { UnitRecord } from './unit-record';

/** Stations at which each bore of a unit is worked on for itself. */
export const EACH_BORE: readonly Station[] = ['gauge', 'judge', 'hone'];

/** The first bore with work left at a station, from 1; undefined where none has. */
export const potToDo = (r: UnitRecord, station: Station): number | undefined => boresOf(r).find((b) => isToDo(b.record, station))?.pot;

/** Is there work left at a station in this bore? @param r the record as the bore sees it */
export const isToDo = (r: UnitRecord, station: Station): boolean => {
  const outcome = currentVerdict(r)?.answer.outcome;
  switch (station) {
    case 'gauge':
      return currentGauging(r) === undefined;
    case 'judge':
      return outcome === undefined || outcome === 'undecided';
    case 'hone':
      return (outcome === 'hone' || outcome === 'polish') && !r.passes.some((p) => p.at >= r.unit.boreChangedAt);
    default:
      return false;
  }
};
