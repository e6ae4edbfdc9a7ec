'use server';

import { z } from 'zod';
import { answerCustomer, askCustomer } from '@/db/customer/approval';
import { act } from '../_server/act';
import { changeOf, Id, Target } from '../_server/change-of';

const Question = z.object({
  ...Target,
  price: z.number().min(-100_000).max(100_000),
  promisedAt: z.number().int().positive(),
  text: z.string().trim().min(10, 'what is the customer asked?').max(2000),
});

export const askCustomerAction = act('book-in', Question, ({ eventId, unitId, version, ...question }, { db, person, now }) =>
  askCustomer(db, changeOf({ eventId, unitId, version }, person, now, 'asked'), question),
);

const Answer = z.object({ ...Target, approvalId: Id, answer: z.enum(['yes', 'no']) });

export const answerCustomerAction = act('book-in', Answer, (i, { db, person, now }) =>
  answerCustomer(db, changeOf(i, person, now, 'answered', i.answer), i.approvalId, i.answer),
);
