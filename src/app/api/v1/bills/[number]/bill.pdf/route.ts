import { openOf } from '@/core/bill/bill';
import { billOfNumber, billsOfUnit, paymentsOf } from '@/db/bill/bills';
import { theDb } from '@/db/engine/connection';
import { inPool } from '@/pool/pool';
import { paperAnswer } from '../../../../../_server/paper-answer';
import { problem } from '../../../../../_server/request';
import { currentPerson } from '../../../../../_server/who';

/** A bill or a credit note on paper. */
export async function GET(_: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  if ((await currentPerson()) === undefined) return problem(401, 'Sign in first.');
  const { number } = await params;
  const db = await theDb();
  const bill = /^[1-9]\d{0,8}$/.test(number) ? await billOfNumber(db, Number(number)) : undefined;
  if (bill === undefined) return problem(404, 'There is no such bill.');
  const [all, payments] = await Promise.all([billsOfUnit(db, bill.unitId), paymentsOf(db, [bill])]);
  return paperAnswer(await inPool('bill', [{ bill, payments, open: openOf(bill, all, payments) }]));
}
