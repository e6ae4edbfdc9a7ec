import { ok, type Result } from '@/core/result';
import { customersUnit } from '@/core/unit/customers-unit';
import { type Change, type Changed, type ChangeError, changeUnit } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { send } from './outbox';

/** Tells a unit's customer something that asks for no answer: that it is ready. */
export const tellCustomer = (db: Db, change: Change, text: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const { unit, tag } = customersUnit(record);
    await send(tx, record, { id: change.eventId, at, subject: `Your ${unit} (${tag})`, text });
    return ok([]);
  });
