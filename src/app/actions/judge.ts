'use server';

import { AnswerCustomer, AskCustomer, LayPhoto, OverruleVerdict, SaveJudgement, SetMakersLimit } from '@/core/judge/judge-schemas';
import { answerCustomer, askCustomer } from '@/db/customer/approval';
import { overruleVerdict, saveJudgement } from '@/db/judge/judgement';
import { setMakersLimit } from '@/db/judge/makers-limit';
import { layPhoto } from '@/db/judge/underlay';
import { act } from '../_server/act';
import { changeOf } from '../_server/change-of';

export const saveJudgementAction = act('bench', SaveJudgement, (i, { db, person, now }) =>
  saveJudgement(db, changeOf(i, person, now, 'judged'), i),
);

export const overruleAction = act('override', OverruleVerdict, (i, { db, person, now }) => {
  const { outcome, reason, pot } = i;
  const targetDiaMm = outcome === 'hone' ? i.targetDiaMm : null;
  return overruleVerdict(db, changeOf(i, person, now, 'overruled', reason), { outcome, targetDiaMm, reason, pot });
});

export const makersLimitAction = act('rules', SetMakersLimit, (i, { db, person, now }) =>
  setMakersLimit(db, changeOf(i, person, now, 'limit-set', i.source), i),
);

export const layPhotoAction = act('bench', LayPhoto, (i, { db, person, now }) =>
  layPhoto(db, changeOf(i, person, now, 'photo-laid', i.laid === null ? 'taken away' : ''), i.laid, i.pot),
);

export const askCustomerAction = act('book-in', AskCustomer, (i, { db, person, now }) => {
  const { eventId: _, unitId: __, version: ___, ...question } = i;
  return askCustomer(db, changeOf(i, person, now, 'asked'), question);
});

export const answerCustomerAction = act('book-in', AnswerCustomer, (i, { db, person, now }) =>
  answerCustomer(db, changeOf(i, person, now, 'answered', i.answer), i.approvalId, i.answer),
);
