import { z } from 'zod';
import { ChargesSchema } from '../cost/charge-schema';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { when } from '../schema/when';
import { OPTION_KINDS } from './option-kind';

/** Options as they are kept with their quote. */
export const OfferedSchema = z.object({
  id: z.string(),
  kind: z.enum(OPTION_KINDS),
  words: z.string(),
  readyAt: z.number().nullable(),
  charges: ChargesSchema,
});
export const QuestionsSchema = z.array(z.object({ at: z.number(), text: z.string() }));
export const QuoteAnswerSchema = z
  .discriminatedUnion('said', [
    z.object({ said: z.literal('picks'), option: z.string(), at: z.number(), by: z.string() }),
    z.object({ said: z.literal('no'), at: z.number(), by: z.string() }),
  ])
  .nullable();

/** A quote to be made: which options are offered, with what words and until when. */
export const MakeQuote = z.object({
  ...Target,
  /** Each with the total that it was seen at, whole cents: at another one nothing is offered. */
  options: z
    .array(z.object({ id: text().min(1).max(300), total: z.number().int().min(-1e12).max(1e12) }))
    .min(1, 'what is offered?')
    .max(20),
  words: text().trim().min(10, 'what is the customer told?').max(2000),
  validUntil: when(),
});
export type MakeQuote = Sends<typeof MakeQuote>;

const Said = z.discriminatedUnion('said', [
  z.object({ said: z.literal('picks'), option: text('which?').min(1, 'which?').max(300) }),
  z.object({ said: z.literal('no') }),
]);
/** What the customer said at the counter or over the telephone. */
export const AnswerQuote = z.object({ ...Target, quoteId: Id, answer: Said });
export type AnswerQuote = Sends<typeof AnswerQuote>;

/** What the customer's own page sends. */
export const ReplyToQuote = z.object({
  key: text().min(1).max(100),
  eventId: Id,
  reply: z.discriminatedUnion('said', [
    ...Said.options,
    z.object({ said: z.literal('asks'), text: text().trim().min(3, 'what would you like to know?').max(1000) }),
  ]),
});
export type ReplyToQuote = Sends<typeof ReplyToQuote>;
