import { METHODS } from '@/core/clean/treatment';
import { ok, type Result } from '@/core/result';
import type { Treatment } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit } from '../change-unit';
import type { Db } from '../connection';
import { type Edit, put } from '../event-payload';

export type NewTreatment = Omit<Treatment, 'id' | 'at' | 'personId'>;

/** Logs what was done to the body; a soak starts its wait in the same change. */
export const treat = (db: Db, change: Change, t: NewTreatment): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const edits: Edit[] = [put('treatments', { id: change.eventId, unitId: record.unit.id, at, personId: change.person.id, ...t })];
    if (t.result === 'waiting' && t.minutes !== null)
      edits.push(
        put('timers', {
          id: `${change.eventId}-wait`,
          unitId: record.unit.id,
          label: METHODS[t.method].label,
          startedAt: at,
          endsAt: at + t.minutes * 60_000,
          personId: change.person.id,
          ownerId: change.person.id,
          rungAt: null,
          doneAt: null,
        }),
      );
    return ok(edits);
  });
