import { z } from 'zod';
import { LiesSchema } from '../bore-map/underlay-schema';
import { PotNo } from '../family/pot-no';
import { DiaMm } from '../gauge/gauge-schema';
import { SCHOOLS } from '../rules/school';
import type { Sends } from '../schema/sends';
import { Id, Note, Target } from '../schema/target';
import { text } from '../schema/text';
import { when } from '../schema/when';
import { MarkSchema } from './judge-schema';
import { OverruleSchema } from './overrule-schema';

/** What stands on the map. `seenAt` of a mark that was looked at just now is null; when that was is not for the page to say. */
const MarkRecordSchema = MarkSchema.safeExtend({
  name: text().min(1).max(20),
  note: Note,
  seenAt: when().nullable(),
  beforeCut: z.undefined().optional(),
});
export const SaveJudgement = z.object({
  ...Target,
  verdictId: Id,
  pot: PotNo,
  marks: z.array(MarkRecordSchema).max(1000),
  school: z.enum(SCHOOLS).nullable(),
  wallMm: z.number().min(0).max(500).nullable(),
});
export type SaveJudgement = Sends<typeof SaveJudgement>;
export const OverruleVerdict = z
  .object({ ...Target, pot: PotNo, ...OverruleSchema.pick({ outcome: true, targetDiaMm: true, reason: true }).shape })
  .refine((o) => o.outcome !== 'hone' || o.targetDiaMm !== null, { path: ['targetDiaMm'], message: 'to what diameter?' });
export type OverruleVerdict = Sends<typeof OverruleVerdict>;
export const SetMakersLimit = z.object({
  ...Target,
  pot: PotNo,
  scope: z.enum(['unit', 'fitment']),
  maxDiaMm: DiaMm.nullable(),
  source: text().trim().min(3, 'which manual, and where in it?').max(200),
});
export type SetMakersLimit = Sends<typeof SetMakersLimit>;
export const LayPhoto = z.object({ ...Target, pot: PotNo, laid: z.object({ photoId: Id, lies: LiesSchema }).nullable() });
export type LayPhoto = Sends<typeof LayPhoto>;
export const AskCustomer = z.object({
  ...Target,
  pot: PotNo,
  price: z.number().min(-100_000).max(100_000),
  promisedAt: when(),
  text: text().trim().min(10, 'what is the customer asked?').max(2000),
});
export type AskCustomer = Sends<typeof AskCustomer>;
export const AnswerCustomer = z.object({ ...Target, approvalId: Id, answer: z.enum(['yes', 'no']) });
export type AnswerCustomer = Sends<typeof AnswerCustomer>;
