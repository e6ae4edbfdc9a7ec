import { and, asc, eq, isNull } from 'drizzle-orm';
import { benchOf } from '@/core/bench/bench-record';
import { ok, type Result } from '@/core/result';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Reader } from '../engine/connection';
import { type Edit, put } from '../engine/edit';
import { prepared } from '../engine/prepared';
import { finishWaitId } from '../finish/finish-wait';
import { people, timers, units } from '../tables';

/** A wait to be: what for, how long (minutes, from 1 up), and who goes and looks; the one who starts it unless somebody else is named. */
export type NewWait = { readonly label: string; readonly minutes: number; readonly ownerId?: string | null };

/** A wait that begins with a change, as an edit; whoever makes the change goes and looks, unless somebody else is named. */
export const waitEdit = (
  change: Change,
  at: number,
  w: { readonly id: string; readonly label: string; readonly endsAt: number; readonly ownerId?: string },
): Edit =>
  put('timers', {
    ownerId: change.person.id,
    ...w,
    unitId: change.unitId,
    startedAt: at,
    personId: change.person.id,
    rungAt: null,
    doneAt: null,
  });

/** Starts a wait on a unit: a soak, a cure, an order, an answer. */
export const startWait = (db: Db, change: Change, wait: NewWait): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (_, at) =>
    ok([
      waitEdit(change, at, {
        id: change.eventId,
        label: wait.label,
        endsAt: at + wait.minutes * 60_000,
        ownerId: wait.ownerId ?? change.person.id,
      }),
    ]),
  );

export const endWait = (db: Db, change: Change, timerId: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [timerId] }, async (record, at, tx) => {
    if (benchOf(record.bench, 'finish').some((f) => f.curedAt === null && finishWaitId(f.id) === timerId))
      return refused('A finish is looked at before its wait is over: say that it has cured, at Finish.');
    const ended = await endOfWait(tx, record.unit.id, timerId, at);
    return ended.length === 0 ? refused('There is no such wait.') : ok(ended);
  });

/** The end of a wait as an edit, for what ends one by its own save; none when there is no such wait. Read from its row, which alone knows whether it rang. */
export const endOfWait = async (tx: Reader, unitId: string, timerId: string, at: number): Promise<readonly Edit[]> => {
  const rows = await tx
    .select()
    .from(timers)
    .where(and(eq(timers.id, timerId), eq(timers.unitId, unitId)));
  return rows.map((timer) => put('timers', { ...timer, doneAt: at }));
};

/** Says that a wait rang. @returns true to the first who says so: it rings once, whoever listens */
export const ringWait = (db: Db, timerId: string, now: number): Promise<boolean> =>
  db.transaction(async (tx) => {
    const [row] = await tx
      .select({ rungAt: timers.rungAt, doneAt: timers.doneAt, endsAt: timers.endsAt })
      .from(timers)
      .where(eq(timers.id, timerId));
    if (row === undefined || row.rungAt !== null || row.doneAt !== null || row.endsAt > now) return false;
    await tx.update(timers).set({ rungAt: now }).where(eq(timers.id, timerId));
    return true;
  });

export type OpenWait = {
  readonly id: string;
  readonly unitId: string;
  readonly tagNo: number;
  /** Of the unit. */
  readonly branch: string | null;
  readonly label: string;
  readonly endsAt: number;
  readonly rung: boolean;
  readonly ownerId: string;
  readonly owner: string;
};

/** Waits that still run on units in the shop, the next to end first. */
export const openWaits = async (db: Reader): Promise<readonly OpenWait[]> => {
  const rows = await openQuery(db).execute();
  return rows.map(({ rungAt, ...w }) => ({ ...w, rung: rungAt !== null }));
};

const openQuery = prepared((db: Reader) =>
  db
    .select({
      id: timers.id,
      unitId: units.id,
      tagNo: units.tagNo,
      branch: units.branch,
      label: timers.label,
      endsAt: timers.endsAt,
      rungAt: timers.rungAt,
      ownerId: timers.ownerId,
      owner: people.name,
    })
    .from(timers)
    .innerJoin(units, eq(timers.unitId, units.id))
    .innerJoin(people, eq(timers.ownerId, people.id))
    .where(and(isNull(timers.doneAt), isNull(units.exit)))
    .orderBy(asc(timers.endsAt))
    .prepare(),
);
