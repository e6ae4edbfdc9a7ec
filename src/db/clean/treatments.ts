import { ok, type Result } from '@/core/result';
import type { Treatment } from '@/core/strip/treatment';
import { METHODS } from '@/core/strip/treatment';
import { type Change, type Changed, type ChangeError, changeUnit } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { type Edit, put } from '../engine/edit';
import { waitEdit } from '../unit/waits';

export type NewTreatment = Omit<Treatment, 'id' | 'at' | 'personId'>;

/** Logs what was done to the body; a soak starts its wait in the same change. */
export const treat = (db: Db, change: Change, t: NewTreatment): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const edits: Edit[] = [put('treatments', { id: change.eventId, unitId: record.unit.id, at, personId: change.person.id, ...t })];
    if (t.result === 'waiting' && t.minutes !== null)
      edits.push(waitEdit(change, at, { id: `${change.eventId}-wait`, label: METHODS[t.method].label, endsAt: at + t.minutes * 60_000 }));
    return ok(edits);
  });
