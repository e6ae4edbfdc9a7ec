import { z } from 'zod';
import type { Quote } from '@/core/quote/quote';
import { OfferedSchema, QuestionsSchema, QuoteAnswerSchema } from '@/core/quote/quote-schema';
import { stored } from '@/core/schema/stored';
import type { quotes } from '../tables';

const Options = z.array(stored(OfferedSchema));

export const toQuote = ({ unitId: _, ...row }: typeof quotes.$inferSelect): Quote => ({
  ...row,
  options: Options.parse(row.options),
  questions: QuestionsSchema.parse(row.questions),
  answer: QuoteAnswerSchema.parse(row.answer),
});
