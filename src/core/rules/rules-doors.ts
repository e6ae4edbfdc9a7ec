import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { text } from '../schema/text';
import { Version } from '../schema/when';
import { EditedRulesDoor } from './rule-door';
import { SchoolsDoor } from './schools-door';

export const PreviewRules = z.object({ rules: EditedRulesDoor, schools: SchoolsDoor });
export type PreviewRules = Sends<typeof PreviewRules>;
export const SaveRules = z.object({
  after: Version,
  note: text().trim().min(3, 'say why the rules change').max(300),
  rules: EditedRulesDoor,
  schools: SchoolsDoor,
});
export type SaveRules = Sends<typeof SaveRules>;
