import { benchOf } from '@/core/bench/bench-record';
import { cureObjections, FINISHES, type FinishName, finishObjections } from '@/core/finish/finish';
import { ok, type Result } from '@/core/result';
import { finishBody } from '@/core/unit/finish-body';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { put } from '../engine/edit';
import { benchEdit } from '../unit/bench';
import { endOfWait, waitEdit } from '../unit/waits';
import { finishWaitId } from './finish-wait';

export type NewFinish = { readonly finish: FinishName; readonly minutes: number; readonly plugs: number; readonly note: string };

/** A finish was put on; its time starts, and it holds the stations after it until somebody finds it cured. */
export const putOnFinish = (db: Db, change: Change, f: NewFinish): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, (record, at) => {
    const objections = finishObjections(f.finish, finishBody(record), f.plugs);
    if (objections.length > 0) return refused(...objections);
    const { label, openings } = FINISHES[f.finish];
    const endsAt = at + f.minutes * 60_000;
    const plugs = openings === 'plugged' ? f.plugs : null;
    return ok([
      benchEdit(record, change, at, { kind: 'finish', finish: f.finish, endsAt, plugs, note: f.note, curedAt: null }),
      waitEdit(change, at, { id: finishWaitId(change.eventId), label, endsAt }),
    ]);
  });

/** A finish was looked at: it has cured, and as many plugs came out as went in. */
export const findCured = (
  db: Db,
  change: Change,
  f: { readonly finishId: string; readonly plugsOut: number },
): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [f.finishId] }, async (record, at, tx) => {
    const finish = benchOf(record.bench, 'finish').find((x) => x.id === f.finishId);
    if (finish === undefined) return refused('There is no such finish on this unit.');
    const objections = cureObjections(finish, f.plugsOut, at);
    if (objections.length > 0) return refused(...objections);
    const { id, at: putOnAt, personId, ...data } = finish;
    return ok([
      put('benchRecords', { id, unitId: record.unit.id, kind: 'finish', at: putOnAt, personId, data: { ...data, curedAt: at } }),
      ...(await endOfWait(tx, record.unit.id, finishWaitId(id), at)),
    ]);
  });
