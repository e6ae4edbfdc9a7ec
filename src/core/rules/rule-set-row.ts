import { z } from 'zod';
import { RulesSchema } from './rule-schema';
import { SchoolsSchema } from './schools-schema';

/** A rule set as it is stored: a version, who made it when, and why. */
export const RuleSetRow = z.object({
  id: z.string(),
  version: z.number().int(),
  at: z.number(),
  personId: z.string(),
  note: z.string(),
  rules: RulesSchema,
  schools: SchoolsSchema,
});
export type RuleSet = z.output<typeof RuleSetRow>;
