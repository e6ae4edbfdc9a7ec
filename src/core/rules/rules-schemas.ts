import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { text } from '../schema/text';
import { Version } from '../schema/when';
import { EditedRulesSchema } from './rule-schema';
import { SchoolsSchema } from './schools-schema';

export const PreviewRules = z.object({ rules: EditedRulesSchema, schools: SchoolsSchema });
export type PreviewRules = Sends<typeof PreviewRules>;
export const SaveRules = z.object({
  after: Version,
  note: text().trim().min(3, 'say why the rules change').max(300),
  rules: EditedRulesSchema,
  schools: SchoolsSchema,
});
export type SaveRules = Sends<typeof SaveRules>;
