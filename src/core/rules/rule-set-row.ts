import { z } from 'zod';
import { RulesDoor } from './rule-door';
import { SchoolsDoor } from './schools-door';

/** A rule set as it is stored: a version, who made it when, and why. */
export const RuleSetRow = z.object({
  id: z.string(),
  version: z.number().int(),
  at: z.number(),
  personId: z.string(),
  note: z.string(),
  rules: RulesDoor,
  schools: SchoolsDoor,
});
export type RuleSet = z.output<typeof RuleSetRow>;
