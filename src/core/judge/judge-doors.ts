import { z } from 'zod';
import { DiaMm } from '../gauge/gauge-door';
import { SCHOOLS } from '../rules/school';
import type { Sends } from '../schema/sends';
import { Id, Note, Target } from '../schema/target';
import { text } from '../schema/text';
import { when } from '../schema/when';
import { MarkDoor } from './judge-door';
import { OverruleDoor } from './overrule-door';
import { FixedPoints } from './underlay-door';

const MarkRecordDoor = MarkDoor.safeExtend({ name: text().min(1).max(20), note: Note });
export const SaveJudgement = z.object({
  ...Target,
  verdictId: Id,
  marks: z.array(MarkRecordDoor).max(1000),
  school: z.enum(SCHOOLS).nullable(),
  wallMm: z.number().min(0).max(500).nullable(),
});
export type SaveJudgement = Sends<typeof SaveJudgement>;
export const OverruleVerdict = z
  .object({ ...Target, ...OverruleDoor.pick({ outcome: true, targetDiaMm: true, reason: true }).shape })
  .refine((o) => o.outcome !== 'hone' || o.targetDiaMm !== null, { path: ['targetDiaMm'], message: 'to what diameter?' });
export type OverruleVerdict = Sends<typeof OverruleVerdict>;
export const SetMakersLimit = z.object({
  ...Target,
  scope: z.enum(['unit', 'fitment']),
  maxDiaMm: DiaMm.nullable(),
  source: text().trim().min(3, 'which manual, and where in it?').max(200),
});
export type SetMakersLimit = Sends<typeof SetMakersLimit>;
export const LayPhoto = z.object({ ...Target, laid: z.object({ photoId: Id, points: FixedPoints }).nullable() });
export type LayPhoto = Sends<typeof LayPhoto>;
export const AskCustomer = z.object({
  ...Target,
  price: z.number().min(-100_000).max(100_000),
  promisedAt: when(),
  text: text().trim().min(10, 'what is the customer asked?').max(2000),
});
export type AskCustomer = Sends<typeof AskCustomer>;
export const AnswerCustomer = z.object({ ...Target, approvalId: Id, answer: z.enum(['yes', 'no']) });
export type AnswerCustomer = Sends<typeof AnswerCustomer>;
