import { and, asc, eq, isNull } from 'drizzle-orm';
import { ok, type Result } from '@/core/result';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../change-unit';
import type { Db, Reader } from '../connection';
import { put } from '../event-payload';
import { timers, units } from '../tables';

/** Starts a wait on a unit: a soak, a cure, an order, an answer. @param minutes from 1 up */
export const startWait = (db: Db, change: Change, label: string, minutes: number): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) =>
    ok([
      put('timers', {
        id: change.eventId,
        unitId: record.unit.id,
        label,
        startedAt: at,
        endsAt: at + minutes * 60_000,
        personId: change.person.id,
        doneAt: null,
      }),
    ]),
  );

export const endWait = (db: Db, change: Change, timerId: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [timerId] }, (record, at) => {
    const timer = record.timers.find((t) => t.id === timerId);
    return timer === undefined ? refused('There is no such wait.') : ok([put('timers', { ...timer, unitId: record.unit.id, doneAt: at })]);
  });

/** Waits that still run on units in the shop, the next to end first. */
export const openWaits = (
  db: Reader,
): Promise<readonly { readonly unitId: string; readonly tagNo: number; readonly label: string; readonly endsAt: number }[]> =>
  db
    .select({ unitId: units.id, tagNo: units.tagNo, label: timers.label, endsAt: timers.endsAt })
    .from(timers)
    .innerJoin(units, eq(timers.unitId, units.id))
    .where(and(isNull(timers.doneAt), isNull(units.exit)))
    .orderBy(asc(timers.endsAt));
