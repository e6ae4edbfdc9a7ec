import { ANSWER_MS, answerWaitId } from '@/core/quote/answer-wait';
import { ok, type Result } from '@/core/result';
import { hasPot, inPot } from '@/core/unit/bores';
import { customersUnit } from '@/core/unit/customers-unit';
import { currentVerdict } from '@/core/unit/facts-of';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { put } from '../engine/edit';
import { endOfWait, waitEdit } from '../unit/waits';
import { send } from './outbox';

export type Question = {
  /** About which bore's judgement, from 1; the first where nothing is said. */
  readonly pot?: number;
  readonly price: number;
  readonly promisedAt: number;
  readonly text: string;
};

/** Asks the customer about the judgement as it stands: the message goes out, and the unit waits for the answer. */
export const askCustomer = (db: Db, change: Change, { pot = 1, ...q }: Question): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const verdict = hasPot(record.unit, pot) ? currentVerdict(inPot(record, pot)) : undefined;
    if (verdict === undefined) return refused('There is no judgement to ask about.');
    await send(tx, record, { id: change.eventId, at, subject: `A question about your ${customersUnit(record).unit}`, text: q.text });
    return ok([
      put('approvals', {
        id: change.eventId,
        unitId: record.unit.id,
        verdictId: verdict.id,
        at,
        personId: change.person.id,
        ...q,
        answer: null,
        answeredAt: null,
        answeredTo: null,
      }),
      waitEdit(change, at, { id: answerWaitId(change.eventId), label: `answer from ${record.job.customer}`, endsAt: at + ANSWER_MS }),
    ]);
  });

/** Notes the customer's answer. A yes moves the promise to what was asked. */
export const answerCustomer = (db: Db, change: Change, approvalId: string, answer: 'yes' | 'no'): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, { ...change, restsOn: [approvalId] }, async (record, at, tx) => {
    const asked = record.approvals.find((a) => a.id === approvalId);
    if (asked === undefined) return refused('There is no such question.');
    if (asked.answer !== null) return refused(`It was answered: ${asked.answer}.`);
    const { unit } = record;
    return ok([
      ...(await endOfWait(tx, unit.id, answerWaitId(approvalId), at)),
      put('approvals', { ...asked, unitId: unit.id, answer, answeredAt: at, answeredTo: change.person.id }),
      ...(answer === 'yes' ? [put('units', { ...unit, dueAt: asked.promisedAt })] : []),
    ]);
  });
